/** Store: the jars with what is left and until when; what a recall touches is dark. What lies on the table is put up here. */
import { leftOf, readCode } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { JarLine } from "./jar-line.tsx";
import { KitchenFrame } from "./kitchen-frame.tsx";
import { PutUp } from "./put-up.tsx";
import { StoreFiles } from "./store-files.tsx";
import { type Kitchen, recallsIn, useKitchen } from "./use-kitchen.ts";

export function StoreView() {
  const kitchen = useKitchen();
  return (
    <KitchenFrame
      kitchen={kitchen}
      title="Store"
      light={(known) => <Store kitchen={known} />}
      dark={(known) => <Touched kitchen={known} />}
    />
  );
}

function Store({ kitchen }: { readonly kitchen: Kitchen }) {
  const { code } = useParams();
  const asked = code === undefined ? undefined : readCode(code);
  const recalled = new Set(recallsIn(kitchen).flatMap(({ batches }) => batches.map(({ id }) => id)));
  const [full, empty] = [true, false].map((isFull) =>
    kitchen.batches.filter(({ content }) => (leftOf(content) !== 0) === isFull),
  );
  const shown = [...(full ?? []), ...(empty ?? [])].filter(
    ({ content }) => asked === undefined || content.code === asked,
  );
  return (
    <>
      <h1 className="view-title">{asked === undefined ? "Store" : `Jar ${asked}`}</h1>
      <FindJar />
      {code !== undefined && shown.length === 0 && (
        <p role="alert">There is no jar {code} here. What has no record is not eaten.</p>
      )}
      {kitchen.batches.length === 0 && <p>Nothing is put up yet.</p>}
      <ul className="lines">
        {shown.map((jar) => (
          <JarLine
            key={jar.id}
            jar={jar}
            kitchen={kitchen}
            isRecalled={recalled.has(jar.id)}
            isOpen={asked !== undefined}
          />
        ))}
      </ul>
      {asked === undefined && <PutUp kitchen={kitchen} />}
      {asked === undefined && kitchen.batches.length > 0 && <StoreFiles kitchen={kitchen} />}
    </>
  );
}

/** A code off a label leads to its jar. */
function FindJar() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState("");
  const code = readCode(typed);
  return (
    <form
      className="actions below-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (code !== undefined) void navigate(`/kitchen/store/${code}`);
      }}
    >
      <TextField
        label="Code off a label"
        size="small"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        slotProps={{ htmlInput: { autoCapitalize: "characters", maxLength: 12 } }}
      />
      <Button type="submit" disabled={code === undefined}>
        Find it
      </Button>
    </form>
  );
}

function Touched({ kitchen }: { readonly kitchen: Kitchen }) {
  const recalls = recallsIn(kitchen);
  const jars = recalls.flatMap(({ jarsLeft }) => jarsLeft);
  return (
    <>
      <p className="said">
        {jars.length === 0
          ? "No jar is called back"
          : `${jars.length === 1 ? "One jar" : `${jars.length} jars`} called back`}
      </p>
      <p className="lead-in">
        When a sheet, a rule or somebody's second look changes an answer, every jar and meal that came of it is named
        here at once.
      </p>
      <ul className="lines">
        {recalls.flatMap((recall) =>
          recall.batches.map(({ id, content }) => (
            <li key={id} className="open-line stands">
              <span className="mark" aria-hidden="true" />
              {content.code}: {recall.label}
              {content.recalls.length > 0 ? `, ${content.recalls.at(-1)?.did}` : ""}
            </li>
          )),
        )}
      </ul>
    </>
  );
}
