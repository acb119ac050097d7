/** Each body with how it stands on its own. */
import { type BodyVerdict, type Find, figureOf } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { Section } from "../layout/section.tsx";
import { useSession } from "../session/session-context.tsx";
import { Drawing } from "../specimen/drawing.tsx";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";

const PICTURE = { height: 54, width: 60 } as const;

export function Bodies({ answer, find }: { readonly answer: ShownAnswer; readonly find: Find }) {
  return (
    <Section title="Each body on its own">
      <ul aria-label="Bodies" className="lines">
        {answer.bodies.map((verdict) => (
          <BodyLine key={verdict.body} verdict={verdict} find={find} />
        ))}
      </ul>
    </Section>
  );
}

function BodyLine({ verdict, find }: { readonly verdict: BodyVerdict; readonly find: Find }) {
  const { change } = useSession();
  const body = find.bodies.find((one) => one.id === verdict.body);
  if (body === undefined) return null;
  const figure = figureOf(find, body, 0);
  const scale = Math.min(PICTURE.height / (figure.top - figure.bottom), PICTURE.width / (figure.right - figure.left));
  return (
    <li data-body={verdict.body} data-body-verdict={verdict.verdict} className="line body-line">
      <span className="framed">
        <Drawing figure={figure} scale={scale} />
      </span>
      <span>
        <b>
          {body.id}, {body.age ?? "age not told"}
        </b>
        <span className="soft small block-text">
          {verdict.reasons[0]?.text ?? "Every danger of this shelf that counts here is ruled out for it."}
        </span>
      </span>
      {verdict.kept ? (
        <span className="body-verdict">{VERDICT_WORDS[verdict.verdict]}</span>
      ) : (
        <span className="body-verdict">
          <span className="block-text">not kept</span>
          <Button
            size="small"
            aria-label={`Keep ${body.id} again`}
            onClick={() => change({ kind: "set-body", body: body.id, field: "keep", value: true })}
          >
            Keep it again
          </Button>
        </span>
      )}
    </li>
  );
}
