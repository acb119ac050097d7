/** Somebody is invited to a circle: to which, by whom and as what. */
import { CIRCLE_ROUTES } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { circlePath } from "../addresses.ts";
import { ask } from "../api/client.ts";
import { Page } from "../layout/page.tsx";
import { ROLE_WORDS } from "./roles.ts";
import { useHeard } from "./use-heard.ts";

export function JoinCircleView() {
  const { token = "" } = useParams();
  const navigate = useNavigate();
  const { heard, refusal } = useHeard(CIRCLE_ROUTES.readCircleInvitation, { token });
  const [why, setWhy] = useState<string>();
  const join = async () => {
    const outcome = await ask(CIRCLE_ROUTES.joinCircle, { params: { token }, body: {} });
    if (outcome.kind === "ok") return navigate(circlePath(outcome.value.id));
    setWhy(outcome.kind === "refused" ? outcome.problem.detail : outcome.text);
  };
  return (
    <Page>
      <Typography variant="h2" component="h1">
        {heard === undefined ? "An invitation" : `Join ${heard.circle}`}
      </Typography>
      {heard !== undefined && (
        <>
          <p>
            {heard.from} invites you as {ROLE_WORDS[heard.role].name}. {ROLE_WORDS[heard.role].about}
          </p>
          <p className="soft">Nobody in it sees anything of yours that you do not share.</p>
          <Button variant="contained" onClick={() => void join()}>
            Join
          </Button>
        </>
      )}
      {(why ?? refusal) !== undefined && <p role="alert">{why ?? refusal}</p>}
    </Page>
  );
}
