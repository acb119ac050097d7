/** A person of the household: what matters of them, kept on this device. */
import { type Eater, MATTERS, type Matter } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { uuidv7 } from "uuidv7";
import { NumberField } from "../layout/number-field.tsx";
import { forgetPerson, keepPerson } from "./household.ts";

const MATTER_WORDS: Readonly<Record<Matter, string>> = {
  child: "a child",
  pregnant: "pregnant",
  breastfeeding: "breastfeeding",
  ill: "ill now",
  frail: "old or frail",
};

interface PersonDialogProps {
  readonly eater: Eater | undefined;
  readonly onClose: () => void;
  readonly onKept: (id: string) => void;
}

export function PersonDialog({ eater, onClose, onKept }: PersonDialogProps) {
  const [told, setTold] = useState<Partial<Eater>>(eater ?? { matters: [] });
  const [fault, setFault] = useState<string>();
  const keep = async () => {
    const id = eater?.id ?? uuidv7();
    const wrong = await keepPerson({ ...told, id, matters: told.matters ?? [] });
    setFault(wrong);
    if (wrong !== undefined) return;
    onKept(id);
    onClose();
  };
  const number = (field: "ageYears" | "weightKg") => (value: number | null) => {
    const { [field]: _before, ...rest } = told;
    setTold(value === null ? rest : { ...rest, [field]: value });
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{eater === undefined ? "Somebody new at the table" : eater.name}</DialogTitle>
      <DialogContent>
        <div className="fields">
          <TextField
            label="Name"
            value={told.name ?? ""}
            onChange={(event) => setTold({ ...told, name: event.target.value })}
            autoFocus
          />
          <ToggleButtonGroup
            value={told.matters ?? []}
            onChange={(_event, next: Matter[]) => setTold({ ...told, matters: next })}
            aria-label="What matters"
            sx={{ flexWrap: "wrap" }}
          >
            {MATTERS.map((matter) => (
              <ToggleButton key={matter} value={matter}>
                {MATTER_WORDS[matter]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <div className="actions">
            <NumberField label="Age in years" unit="years" value={told.ageYears} onSet={number("ageYears")} />
            <NumberField label="Weight in kg" unit="kg" value={told.weightKg} onSet={number("weightKg")} />
          </div>
          <TextField
            label="Medicines, as a hospital would want to know them"
            value={told.medicines ?? ""}
            onChange={(event) => {
              const { medicines: _before, ...rest } = told;
              setTold(event.target.value === "" ? rest : { ...rest, medicines: event.target.value });
            }}
          />
          {fault !== undefined && (
            <p role="alert" className="stands">
              Not kept: {fault}
            </p>
          )}
          <p className="soft small">
            It stays on this device. With medicines, pregnancy or an illness the doctor is asked first.
          </p>
        </div>
      </DialogContent>
      <DialogActions>
        {eater !== undefined && (
          <Button
            variant="quiet"
            onClick={() => {
              void forgetPerson(eater.id);
              onClose();
            }}
          >
            Forget {eater.name}
          </Button>
        )}
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={() => void keep()}>
          Keep
        </Button>
      </DialogActions>
    </Dialog>
  );
}
