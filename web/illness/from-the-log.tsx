/** Meals and tastings of the last three weeks, out of the log: one touch writes one down. Where the log cannot be had nothing is shown. */
import type { LoggedMeal } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useAccount } from "./account-store.ts";
import { momentWords } from "./moments.ts";

export function FromTheLog({ logged }: { readonly logged: readonly LoggedMeal[] }) {
  const tell = useAccount((state) => state.tell);
  const told = useAccount((state) => state.told);
  const there = new Set(told.flatMap((one) => (one.kind === "meal" && one.struckAt === undefined ? [one.logged] : [])));
  const open = logged.filter(({ id }) => !there.has(id));
  if (open.length === 0) return null;
  return (
    <div className="ill-logged" data-testid="from-the-log">
      <p>Was it one of these? Touch it.</p>
      {open.map(({ id, eatenAt, what }) => (
        <Button key={id} variant="way" fullWidth onClick={() => tell({ kind: "meal", eatenAt, what, logged: id })}>
          <b>{momentWords(eatenAt)}</b>
          <br />
          {what}
        </Button>
      ))}
    </div>
  );
}
