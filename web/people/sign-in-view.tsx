/** Who are you? Before that nothing that anybody recorded is shown. Help for somebody who is ill is there without it. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { ask, type Outcome } from "../api/client.ts";
import { SplitCard } from "../layout/split-card.tsx";
import { ByPassword } from "./by-password.tsx";
import { ByRecoveryCode } from "./by-recovery-code.tsx";
import { arrive } from "./change-hands.ts";
import { FirstPerson } from "./first-person.tsx";
import { useHere } from "./here.ts";
import "./people.css";
import { under } from "../base.ts";

type Ways = ReplyOf<(typeof PEOPLE_ROUTES)["waysIn"]>;
type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;

/** Where somebody goes who was sent here from nowhere else. */
const FINDS = "/finds";

export function SignInView() {
  const [ways, setWays] = useState<Outcome<Ways>>();
  const [isLost, setIsLost] = useState(false);
  const [refusal, setRefusal] = useState<string>();
  const before = useHere((here) => here.person);
  useEffect(() => {
    void ask(PEOPLE_ROUTES.waysIn).then(setWays);
  }, []);
  const come = async (person: OwnPerson) => {
    const { pathname } = window.location;
    setRefusal(await arrive(person, pathname === under("/sign-in") ? under(FINDS) : pathname));
  };
  const take = async (id: string) => {
    const outcome = await ask(PEOPLE_ROUTES.takeInvented, { body: { id } });
    if (outcome.kind === "ok") await come(outcome.value);
    else setRefusal(outcome.kind === "refused" ? outcome.problem.detail : outcome.text);
  };
  const known = ways?.kind === "ok" ? ways.value : undefined;
  return (
    <SplitCard
      isLow
      light={
        <div className="page scroll people-form">
          <Typography variant="h2" component="h1">
            {known?.isFirst === true && known.invented.length === 0 ? "Be the first" : "Who are you?"}
          </Typography>
          {refusal !== undefined && (
            <p role="alert" className="stands">
              {refusal}
            </p>
          )}
          {ways !== undefined && known === undefined && (
            <p role="alert">The server cannot be reached. Nobody can sign in until it can.</p>
          )}
          {known !== undefined && known.invented.length > 0 && (
            <section aria-label="Invented people" className="people-invented">
              <p className="soft">
                Three who do not exist, with the demo. At this machine a touch is enough to be one of them.
              </p>
              {known.invented.map(({ id, name, about }) => (
                <button key={id} type="button" className="people-take" onClick={() => void take(id)}>
                  <span className="strong">{name}</span>
                  <span className="soft small">{about}</span>
                </button>
              ))}
            </section>
          )}
          {known !== undefined &&
            (known.isFirst ? (
              <FirstPerson isBeside={known.invented.length > 0} onDone={come} />
            ) : isLost ? (
              <ByRecoveryCode onDone={come} onBack={() => setIsLost(false)} />
            ) : (
              <ByPassword
                hasPasskeys={known.hasPasskeys}
                name={before?.name}
                onDone={come}
                onLost={() => setIsLost(true)}
              />
            ))}
        </div>
      }
      dark={
        <div className="dark-page scroll">
          <p className="people-large">
            {before === undefined
              ? "Nothing that anybody recorded is shown before you say who you are."
              : `${before.name} is not signed in any more. What was recorded here is kept, and waits.`}
          </p>
          <Button variant="contained" component={Link} to="/ill">
            Somebody is ill
          </Button>
        </div>
      }
    />
  );
}
