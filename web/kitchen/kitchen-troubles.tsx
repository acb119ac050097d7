/** Documents of the kitchen that the server did not take as they are: said, until a person gives up what only this device holds. */
import { documentSchema } from "@jittery-cap/core/api";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useLiveQuery } from "dexie-react-hooks";
import { device } from "../documents/device.ts";
import { takeTheirs } from "../documents/push.ts";

const NAMES: Readonly<Record<string, string>> = { meal: "A meal", batch: "A jar", tasting: "A tasting" };

async function troubled() {
  const troubles = await device.troubles.toArray();
  const rows = await device.documents.bulkGet(troubles.map(({ documentId }) => documentId));
  return troubles.flatMap((trouble, index) => {
    const name = NAMES[rows[index]?.kind ?? ""];
    const current = documentSchema.safeParse(trouble.current);
    return name === undefined
      ? []
      : [{ id: trouble.documentId, name, text: trouble.text, current: current.success ? current.data : undefined }];
  });
}

export function KitchenTroubles() {
  const all = useLiveQuery(troubled) ?? [];
  return all.map(({ id, name, text, current }) => (
    <Alert key={id} severity="error" className="recall" data-trouble={id}>
      {name} stands on this device otherwise than elsewhere: {text}. What is here is kept, and not sent.
      {current !== undefined && (
        <div className="actions above">
          <Button onClick={() => void takeTheirs(current)}>Take it as it is elsewhere</Button>
        </div>
      )}
    </Alert>
  ));
}
