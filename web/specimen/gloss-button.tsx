/** What the states of a character mean, each with its drawing, at a touch. */
import { CHARACTER_WORDS, type CharacterId, definitionOf, glossesOf, stateWords } from "@jittery-cap/core";
import HelpOutlined from "@mui/icons-material/HelpOutlineOutlined";
import IconButton from "@mui/material/IconButton";
import { lazy, memo, Suspense, useState } from "react";
import { StatePicture } from "./choice.tsx";

const GlossDialog = lazy(() => import("../words/gloss-dialog.tsx").then((module) => ({ default: module.GlossDialog })));

export const GlossButton = memo(function GlossButton({ character }: { readonly character: CharacterId }) {
  const [open, setOpen] = useState(false);
  const glosses = glossesOf(character);
  if (glosses === undefined) return null;
  const { plain } = CHARACTER_WORDS[character];
  return (
    <>
      <IconButton aria-label={`What the words mean: ${plain}`} onClick={() => setOpen(true)} className="gloss-button">
        <HelpOutlined fontSize="small" />
      </IconButton>
      {open && (
        <Suspense fallback={null}>
          <GlossDialog title={plain} onClose={() => setOpen(false)}>
            {definitionOf(character)
              .states.filter((state) => glosses[state] !== undefined)
              .map((state) => (
                <div key={state} className="gloss">
                  <dt>
                    <StatePicture character={character} state={state} />
                  </dt>
                  <dd>
                    <b>{stateWords(character, state)}</b>: {glosses[state]}
                  </dd>
                </div>
              ))}
          </GlossDialog>
        </Suspense>
      )}
    </>
  );
});
