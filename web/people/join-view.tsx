/** Somebody was invited: who invites them, and what they join with. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { useParams } from "react-router";
import { uuidv7 } from "uuidv7";
import { ask, type Outcome } from "../api/client.ts";
import { SplitCard } from "../layout/split-card.tsx";
import { arrive } from "./change-hands.ts";
import { type NewPerson, NewPersonFields } from "./new-person-fields.tsx";
import { useToldForm } from "./told-form.ts";
import "./people.css";
import { under } from "../base.ts";

type Invited = ReplyOf<(typeof PEOPLE_ROUTES)["readInvitation"]>;
const toldSchema = PEOPLE_ROUTES.join.body.omit({ id: true });

export function JoinView() {
  const { token = "" } = useParams();
  const [invited, setInvited] = useState<Outcome<Invited>>();
  const [refusal, setRefusal] = useState<string>();
  // sent again it is the same person
  const [id] = useState(uuidv7);
  useEffect(() => {
    void ask(PEOPLE_ROUTES.readInvitation, { params: { token } }).then(setInvited);
  }, [token]);
  const form = useToldForm<NewPerson, (typeof PEOPLE_ROUTES)["join"]>(
    toldSchema,
    { name: "", signInName: "", password: "" },
    (told) => ask(PEOPLE_ROUTES.join, { params: { token }, body: { id, ...told } }),
    async (person) => setRefusal(await arrive(person, under("/finds"))),
  );
  const why = form.refusal ?? refusal;
  return (
    <SplitCard
      isLow
      light={
        <div className="page scroll people-form">
          <Typography variant="h2" component="h1">
            Join
          </Typography>
          {invited?.kind === "ok" && (
            <form onSubmit={(event) => void form.submit(event)} noValidate aria-label="Join">
              <NewPersonFields told={form.told} errors={form.errors} />
              {why !== undefined && (
                <p role="alert" className="stands">
                  {why}
                </p>
              )}
              <div className="actions people-actions">
                <Button type="submit" variant="contained" disabled={form.isSubmitting}>
                  Join
                </Button>
              </div>
            </form>
          )}
          {invited !== undefined && invited.kind !== "ok" && (
            <p role="alert">{invited.kind === "refused" ? invited.problem.detail : invited.text}</p>
          )}
        </div>
      }
      dark={
        <div className="dark-page scroll">
          <p className="people-large">
            {invited?.kind === "ok" ? `${invited.value.from} invites you.` : "An invitation."}
          </p>
          <p className="soft">What you record is yours: nobody else sees it, and where it was, unless you share it.</p>
        </div>
      }
    />
  );
}
