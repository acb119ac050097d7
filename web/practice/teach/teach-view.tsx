/** Rounds for a table: made by a word, put together by kind, or read from a file; and those that can still be joined. */
import { ROUTES } from "@jittery-cap/core/api";
import { PRACTICE_SET_FORMAT, type SetItem } from "@jittery-cap/core/trainer";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { uuidv7 } from "uuidv7";
import { teachPath } from "../../addresses.ts";
import { ask, valueOrNothing } from "../../api/client.ts";
import { saveFile } from "../../exchange/save-file.ts";
import { ChooseFrom } from "../../layout/choose-from.tsx";
import { FileButton } from "../../layout/file-button.tsx";
import { useShelf } from "../../sheets/use-shelf.ts";
import { askPractice } from "../ask-practice.ts";
import { PracticeFrame } from "../practice-frame.tsx";
import { readSet, setFile, someOf } from "./set-file.ts";
import "./teach.css";

const SIZES = [5, 10, 20] as const;

export function TeachView() {
  const navigate = useNavigate();
  const [name, setName] = useState("");
  const [items, setItems] = useState<readonly SetItem[]>([]);
  const [refusal, setRefusal] = useState<string>();
  const begin = async () => {
    const id = uuidv7();
    const outcome = await ask(ROUTES.makeRound, { body: { id, name: name.trim(), items: [...items] } });
    if (outcome.kind === "ok") await navigate(teachPath(id));
    else setRefusal(outcome.kind === "refused" ? outcome.problem.detail : `${outcome.text} A round needs the server.`);
  };
  const canBegin = name.trim() !== "" && items.length > 0;
  return (
    <PracticeFrame
      label="Teach a round"
      isLow
      light={
        <>
          <h1 className="view-title">Teach a round</h1>
          <p className="lead-in">
            A set of made finds, shown here one after another. Everybody at the table answers from their own phone; what
            it was is uncovered together.
          </p>
          {refusal !== undefined && <Alert severity="error">{refusal}</Alert>}
          <div className="fields">
            <TextField
              label="What the round is called"
              value={name}
              onChange={(event) => setName(event.target.value)}
              slotProps={{ htmlInput: { maxLength: 80 } }}
            />
          </div>
          <PutTogether
            name={name}
            items={items}
            onItems={setItems}
            onRead={(set) => {
              setName(set.name);
              setItems(set.items);
              setRefusal(undefined);
            }}
            onRefuse={setRefusal}
          />
          <div className="actions around-2">
            <Button variant="contained" size="large" disabled={!canBegin} onClick={() => void begin()}>
              {items.length === 0 ? "Begin" : `Begin, ${items.length} ${items.length === 1 ? "find" : "finds"}`}
            </Button>
            <Button
              size="large"
              disabled={!canBegin}
              onClick={() =>
                saveFile(
                  setFile(name.trim(), items),
                  `${PRACTICE_SET_FORMAT.replace("/", "-")}.json`,
                  "application/json",
                )
              }
            >
              Save the set as a file
            </Button>
          </div>
        </>
      }
      dark={<OpenRounds />}
    />
  );
}

interface PutTogetherProps {
  readonly name: string;
  readonly items: readonly SetItem[];
  readonly onItems: (items: readonly SetItem[]) => void;
  readonly onRead: (set: { readonly name: string; readonly items: readonly SetItem[] }) => void;
  readonly onRefuse: (text: string) => void;
}

function PutTogether({ name, items, onItems, onRead, onRefuse }: PutTogetherProps) {
  const shelf = useShelf("all lines", (remote) => remote.listSheets());
  const lines = shelf.state === "told" ? [...shelf.reply.dangers, ...shelf.reply.sought] : [];
  const nameOf = (id: string) => lines.find((one) => one.id === id)?.common ?? id;
  const byWord = (finds: number) =>
    void askPractice("test", name.trim() === "" ? "a round" : name.trim()).then(
      (all) => onItems(someOf(all, finds)),
      () => onRefuse("The sheets cannot be had just now: no set can be made."),
    );
  const read = async (file: File) => {
    const set = readSet(await file.text());
    if ("format" in set) onRead(set);
    else onRefuse(`${file.name}: ${set.map(({ path, message }) => `${path}: ${message}`).join("; ")}`);
  };
  return (
    <section className="section" aria-labelledby="set">
      <h2 id="set" className="section-title">
        Its finds
      </h2>
      <div className="actions">
        {SIZES.map((finds) => (
          <Button key={finds} onClick={() => byWord(finds)}>
            {finds} by chance
          </Button>
        ))}
        <FileButton label="A set of finds" accept=".json,application/json" onFile={(file) => void read(file)}>
          From a file
        </FileButton>
        <ChooseFrom
          label="Add a kind"
          value=""
          onChange={(sheet) => sheet !== "" && onItems([...items, { sheet, seed: uuidv7() }])}
        >
          <option value="">add a kind</option>
          {lines.map(({ id, common }) => (
            <option key={id} value={id}>
              {common}
            </option>
          ))}
        </ChooseFrom>
      </div>
      {items.length > 0 && (
        <details className="above-2">
          <summary className="unfold">
            {items.length} {items.length === 1 ? "find" : "finds"}; open to see which, away from the table
          </summary>
          <ol className="practice-set">
            {items.map((item) => (
              <li key={item.seed}>
                {nameOf(item.sheet)}{" "}
                <Button
                  variant="quiet"
                  aria-label={`take out ${nameOf(item.sheet)}`}
                  onClick={() => onItems(items.filter((one) => one !== item))}
                >
                  take out
                </Button>
              </li>
            ))}
          </ol>
        </details>
      )}
    </section>
  );
}

/** Rounds that were begun. */
function OpenRounds() {
  const [rounds, setRounds] =
    useState<readonly { readonly id: string; readonly name: string; readonly finds: number }[]>();
  useEffect(() => {
    void valueOrNothing(ROUTES.listRounds, {}).then((told) => setRounds(told?.rounds ?? []));
  }, []);
  return (
    <>
      <p className="said">{rounds === undefined || rounds.length === 0 ? "No round is open" : "Open rounds"}</p>
      <ul className="lines">
        {(rounds ?? []).map(({ id, name, finds }) => (
          <li key={id} className="line practice-weak">
            <Link to={teachPath(id)} className="strong">
              {name}
            </Link>
            <span className="soft">{finds} finds</span>
          </li>
        ))}
      </ul>
    </>
  );
}
