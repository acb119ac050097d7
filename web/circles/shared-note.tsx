/** Whose find this is, where it is another's. */
import { useSharedFind } from "./use-shared.ts";

export function SharedNote({ id }: { readonly id: string | undefined }) {
  const shared = useSharedFind(id);
  if (shared === undefined) return null;
  return (
    <p className="trail-note" data-testid="shared-note">
      {shared.owner.name}’s find, shared with you.{" "}
      {shared.mayRecord ? "What you see is kept under your name." : "It is yours to look at."}
    </p>
  );
}
