/** You: what you sign in with, where you are signed in, whom you invited, all that is yours, and leaving. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { addressOf, ask, type Outcome } from "../api/client.ts";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { signOut } from "./change-hands.ts";
import { Invited } from "./invited.tsx";
import { Leave } from "./leave.tsx";
import { NewPassword } from "./new-password.tsx";
import { OwnPasskeys } from "./own-passkeys.tsx";
import { RecoveryCodes } from "./recovery-codes.tsx";
import "./people.css";

type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;

export function MeView() {
  const [heard, setHeard] = useState<Outcome<OwnPerson>>();
  const read = () => void ask(PEOPLE_ROUTES.readMe).then(setHeard);
  useEffect(() => void ask(PEOPLE_ROUTES.readMe).then(setHeard), []);
  const me = heard?.kind === "ok" ? heard.value : undefined;
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              {me?.name ?? "You"}
            </Typography>
            {heard !== undefined && me === undefined && (
              <p role="alert">{heard.kind === "unreachable" ? heard.text : "This could not be read."}</p>
            )}
            {me?.isInvented === true && (
              <p className="soft">
                Somebody who does not exist: there is no password, and whoever sits here may be them.
              </p>
            )}
            {me !== undefined && !me.isInvented && (
              <>
                <OwnPasskeys me={me} onChanged={(now) => setHeard({ kind: "ok", value: now })} onDropped={read} />
                <RecoveryCodes left={me.recoveryCodesLeft} onMade={read} />
                <NewPassword onDone={(now) => setHeard({ kind: "ok", value: now })} />
                {me.isKeeper && <Invited />}
              </>
            )}
            {me !== undefined && (
              <Section
                title="All that is yours"
                about="One archive: what you recorded, who changed what, pictures, links. It holds your places: keep it well."
              >
                <Button variant="outlined" component="a" href={addressOf(PEOPLE_ROUTES.exportMine)} download>
                  Take it along
                </Button>
              </Section>
            )}
            {me !== undefined && !me.isInvented && <Leave me={me} />}
          </div>
        </>
      }
      dark={<GoingOut signedIn={me?.signedIn} />}
    />
  );
}

/** @param signedIn in how many places; undefined where that is not known */
function GoingOut({ signedIn }: { readonly signedIn: number | undefined }) {
  const [refusal, setRefusal] = useState<string>();
  const [isLeaving, setIsLeaving] = useState(false);
  const goOut = async (everywhere: boolean) => {
    setIsLeaving(true);
    const why = await signOut(everywhere);
    setRefusal(why);
    // otherwise another page is on its way
    if (why !== undefined) setIsLeaving(false);
  };
  return (
    <div className="dark-page scroll">
      <p className="people-large">
        {signedIn === undefined
          ? "Nobody is signed in here as far as can be known."
          : signedIn === 1
            ? "You are signed in here alone."
            : `You are signed in here and in ${signedIn === 2 ? "one other place" : `${signedIn - 1} other places`}.`}
      </p>
      <p className="soft">
        Signing out sends what waits, and clears this device. What cannot be sent is sealed, and opens when you sign in
        here again.
      </p>
      {refusal !== undefined && (
        <p role="alert" className="stands">
          {refusal}
        </p>
      )}
      <div className="actions">
        <Button variant="contained" disabled={isLeaving} onClick={() => void goOut(false)}>
          {isLeaving ? "Signing out …" : "Sign out"}
        </Button>
        {signedIn !== undefined && signedIn > 1 && (
          <Button variant="outlined" disabled={isLeaving} onClick={() => void goOut(true)}>
            Sign out everywhere
          </Button>
        )}
      </div>
    </div>
  );
}
