/** Every variant of the toolkit's components on both halves, to be looked at while the look is changed. In development only. */
import Accordion from "@mui/material/Accordion";
import AccordionDetails from "@mui/material/AccordionDetails";
import AccordionSummary from "@mui/material/AccordionSummary";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import List from "@mui/material/List";
import ListItem from "@mui/material/ListItem";
import Skeleton from "@mui/material/Skeleton";
import SnackbarContent from "@mui/material/SnackbarContent";
import Tab from "@mui/material/Tab";
import Table from "@mui/material/Table";
import TableBody from "@mui/material/TableBody";
import TableCell from "@mui/material/TableCell";
import TableHead from "@mui/material/TableHead";
import TableRow from "@mui/material/TableRow";
import Tabs from "@mui/material/Tabs";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Choice } from "../specimen/choice.tsx";

const BUTTONS = ["contained", "outlined", "quiet", "thumb", "way"] as const;
const TYPE = ["h1", "h2", "h3", "verdict", "lead", "body1", "body2", "small", "caption", "scientific"] as const;
const SEVERITIES = ["error", "warning", "info", "success"] as const;

function Variants() {
  return (
    <ScrollRegion label="Variants" className="page">
      <Section title="Type">
        {TYPE.map((variant) => (
          <Typography key={variant} variant={variant} component="div">
            {variant}: a pale one under the birches, 10 of 24
          </Typography>
        ))}
      </Section>
      <Section title="Buttons">
        <div className="actions">
          {BUTTONS.map((variant) => (
            <Button key={variant} variant={variant}>
              {variant}
            </Button>
          ))}
          <Button variant="contained" size="large">
            large
          </Button>
          <Button disabled>disabled</Button>
          <Button variant="contained" disabled>
            disabled
          </Button>
        </div>
      </Section>
      <Section title="Choices">
        <div className="choices">
          <Choice label="chosen" chosen onChoose={() => undefined} />
          <Choice label="not chosen" chosen={false} onChoose={() => undefined} />
          <Choice quiet label="quiet" chosen={false} onChoose={() => undefined} />
          <Choice doubtful label="unsure" chosen onChoose={() => undefined} />
          <ToggleButton value="on" selected>
            on
          </ToggleButton>
          <ToggleButton value="off">off</ToggleButton>
        </div>
      </Section>
      <Section title="Tabs">
        <Tabs value="one">
          <Tab value="one" label="one" />
          <Tab value="other" label="other" />
        </Tabs>
      </Section>
      <Section title="Fields">
        <div className="actions">
          <TextField placeholder="a field" slotProps={{ htmlInput: { "aria-label": "A field" } }} />
          <ChooseFrom label="A list" value="a" onChange={() => undefined}>
            <option value="a">a list of the device</option>
          </ChooseFrom>
        </div>
      </Section>
      <Section title="What speaks up">
        <div className="stack">
          {SEVERITIES.map((severity) => (
            <Alert key={severity} severity={severity}>
              {severity}
            </Alert>
          ))}
          <SnackbarContent message="a word above all" />
          <Tooltip open title="what it means">
            <span>a tooltip</span>
          </Tooltip>
        </div>
      </Section>
      <Section title="Rows">
        <List>
          <ListItem>one</ListItem>
          <ListItem>other</ListItem>
        </List>
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>head</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            <TableRow>
              <TableCell>cell</TableCell>
            </TableRow>
          </TableBody>
        </Table>
        <Accordion>
          <AccordionSummary>a fold</AccordionSummary>
          <AccordionDetails>what was folded</AccordionDetails>
        </Accordion>
      </Section>
      <Section title="Waiting">
        <div className="stack">
          <Skeleton height={48} />
          <LinearProgress aria-label="Waiting" />
        </div>
      </Section>
    </ScrollRegion>
  );
}

export function VariantsView() {
  return <SplitCard light={<Variants />} dark={<Variants />} width="wide" />;
}
