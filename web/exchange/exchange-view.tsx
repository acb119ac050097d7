/** Finds to and from other programs: what is written, how exactly the places go along, what a format cannot carry. */
import {
  convertTo,
  type Find,
  isAmongFood,
  PLACE_KINDS,
  type PlaceKind,
  readFrom,
  sourceOf,
  TARGETS,
  type Target,
  withEndingsInForce,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { Link } from "react-router";
import { uuidv7 } from "uuidv7";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { listFinds } from "../device/api.ts";
import { device } from "../device/device.ts";
import { deliver, keepNewFind } from "../device/outbox.ts";
import { ownRules } from "../device/settled.ts";
import { Choice } from "../find/choice.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";
import { askJudge } from "../worker/judge.ts";

const TARGET_WORDS: Readonly<Record<Target, { readonly name: string; readonly file: string; readonly type: string }>> =
  {
    json: { name: "our own JSON", file: "finds.json", type: "application/json" },
    csv: { name: "CSV, a row an observation", file: "finds.csv", type: "text/csv" },
    geojson: { name: "GeoJSON", file: "finds.geojson", type: "application/geo+json" },
    gpx: { name: "GPX waypoints", file: "finds.gpx", type: "application/gpx+xml" },
    "darwin-core": { name: "Darwin Core archive", file: "finds.zip", type: "application/zip" },
    ics: { name: "calendar of prints", file: "prints.ics", type: "text/calendar" },
  };
const PLACE_WORDS: Readonly<Record<PlaceKind, string>> = {
  exact: "exact places",
  "1km": "rounded to 1 km",
  "10km": "rounded to 10 km",
  none: "without places",
};
/** A find that claims one of its bodies to be among food is judged before it goes out: the claim may be older than the record. */
async function asItStands(find: Find): Promise<Find> {
  if (find.bodies.every((body) => body.ending === undefined || !isAmongFood(body.ending))) return find;
  return withEndingsInForce(find, await askJudge(find).catch(() => undefined));
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

export function ExchangeView() {
  const [target, setTarget] = useState<Target>("json");
  const [places, setPlaces] = useState<PlaceKind>("none");
  const [losses, setLosses] = useState<readonly string[]>();
  const [taken, setTaken] = useState<readonly Find[]>();
  const [faults, setFaults] = useState<readonly string[]>([]);
  const input = useRef<HTMLInputElement>(null);

  const write = async () => {
    const [listed, kept] = await Promise.all([listFinds(), device.finds.toArray()]);
    const all = new Map((listed ?? []).map(({ find }) => [find.id, find]));
    for (const { find } of kept) all.set(find.id, find);
    const converted = convertTo(target, await Promise.all([...all.values()].map(asItStands)), places, new Date());
    setLosses(converted.losses);
    const { file, type } = TARGET_WORDS[target];
    const content = typeof converted.content === "string" ? converted.content : new Uint8Array(converted.content);
    const url = URL.createObjectURL(new Blob([content], { type }));
    const link = document.createElement("a");
    link.href = url;
    link.download = file;
    link.click();
    setTimeout(() => URL.revokeObjectURL(url), 1000);
  };

  const read = async (file: File | undefined) => {
    if (file === undefined) return;
    setTaken(undefined);
    const content = new Uint8Array(await file.arrayBuffer());
    const source = sourceOf(file.name, content);
    if (source === undefined) return setFaults([`${file.name} does not tell what it is.`]);
    const parsed = readFrom(source, content);
    if (!parsed.ok) return setFaults(parsed.faults.slice(0, 8).map((fault) => `${fault.path}: ${fault.message}`));
    setFaults([]);
    // a find that is here already is never written over by a file: it comes in beside it
    const here = new Set([
      ...(await device.finds.toArray()).map((one) => one.id),
      ...((await listFinds()) ?? []).map(({ find }) => find.id),
    ]);
    // and it is judged by this person's house rules, not by those of whoever wrote the file
    const own = ownRules();
    const finds = parsed.value.map(
      ({ rules: _rules, ...find }): Find => ({
        ...find,
        id: UUID.test(find.id) && !here.has(find.id) ? find.id : uuidv7(),
        ...(own === undefined ? {} : { rules: own }),
      }),
    );
    for (const find of finds) {
      await keepNewFind(find);
      void deliver(find.id);
    }
    setTaken(finds);
  };

  return (
    <SplitCard
      darkShare={0.4}
      light={
        <>
          <Trail view="log" />
          <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, pb: 3, flex: 1, minHeight: 0, overflowY: "auto" }}>
            <Typography variant="h2" component="h1">
              To and from other programs
            </Typography>
            <Typography variant="h3" component="h2" sx={{ pt: 2, pb: 1 }}>
              Write all finds
            </Typography>
            <Box
              role="group"
              aria-label="Format"
              sx={{ display: "grid", gap: 1, gridTemplateColumns: { xs: "1fr", md: "repeat(3, 1fr)" } }}
            >
              {TARGETS.map((one) => (
                <Choice
                  key={one}
                  quiet
                  label={TARGET_WORDS[one].name}
                  state={one}
                  chosen={target === one}
                  onChoose={() => setTarget(one)}
                />
              ))}
            </Box>
            <Box
              role="group"
              aria-label="Places"
              sx={{ display: "grid", gap: 1, pt: 1, gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(4, 1fr)" } }}
            >
              {PLACE_KINDS.map((one) => (
                <Choice
                  key={one}
                  quiet
                  label={PLACE_WORDS[one]}
                  state={one}
                  chosen={places === one}
                  onChoose={() => setPlaces(one)}
                />
              ))}
            </Box>
            <ButtonBase
              onClick={() => void write()}
              sx={{ mt: 1.5, minHeight: TOUCH + 4, px: 2.5, bgcolor: tone.ink, color: tone.bone, fontWeight: 750 }}
            >
              Write the file
            </ButtonBase>
            {losses !== undefined && (
              <Box role="status" data-testid="losses" sx={{ pt: 1 }}>
                {losses.length === 0
                  ? "It carries everything."
                  : losses.map((loss) => <Box key={loss}>Not carried: {loss}.</Box>)}
              </Box>
            )}
            <Typography variant="h3" component="h2" sx={{ pt: 3, pb: 1 }}>
              Read finds from a file
            </Typography>
            <ButtonBase
              onClick={() => input.current?.click()}
              sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper }}
            >
              Choose a file
            </ButtonBase>
            <input
              ref={input}
              type="file"
              hidden
              aria-label="File with finds"
              onChange={(event) => {
                void read(event.target.files?.[0]);
                event.target.value = "";
              }}
            />
            {faults.length > 0 && (
              <Box role="alert" sx={{ color: tone.rust, pt: 1 }}>
                Nothing was taken.{" "}
                {faults.map((fault) => (
                  <Box key={fault}>{fault}</Box>
                ))}
              </Box>
            )}
            {taken !== undefined && (
              <Box role="status" data-testid="taken" sx={{ pt: 1 }}>
                {taken.length === 1 ? "1 find" : `${taken.length} finds`} taken:{" "}
                {taken.map((find) => (
                  <Box key={find.id}>
                    <Link to={`/find/${find.id}`} style={{ color: tone.ink }}>
                      {find.label ?? "a find without a name"}
                    </Link>
                  </Box>
                ))}
              </Box>
            )}
          </Box>
        </>
      }
      dark={
        <Box sx={{ p: { xs: 2.5, md: 3.25 }, pt: { md: 9 } }}>
          <Typography variant="h1" component="p">
            Judged here
          </Typography>
          <Typography sx={{ color: tone.onDarkSoft, pt: 1 }}>
            A file's word for an answer is never taken. What comes in is judged by the sheets of this shelf, like
            everything else, and by your house rules; nothing that was here is written over.
          </Typography>
        </Box>
      }
    />
  );
}
