/** The words of this program and of the field, each in a sentence, with its drawing where it has one. */
import { CHARACTER_IDS, CHARACTER_WORDS, glossesOf, stateWords, WORD_GLOSSES } from "@jittery-cap/core";
import Typography from "@mui/material/Typography";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { StatePicture } from "../specimen/choice.tsx";

export function WordsView() {
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <ScrollRegion label="Words of the field" className="page">
            <Typography variant="h2" component="h1">
              Words
            </Typography>
            {CHARACTER_IDS.map((character) => {
              const glosses = Object.entries(glossesOf(character) ?? {});
              if (glosses.length === 0) return null;
              const { plain, term } = CHARACTER_WORDS[character];
              return (
                <Section key={character} title={plain.charAt(0).toUpperCase() + plain.slice(1)} about={term}>
                  <dl className="glosses">
                    {glosses.map(([state, means]) => (
                      <div key={state} className="gloss">
                        <dt>
                          <StatePicture character={character} state={state} />
                        </dt>
                        <dd>
                          <b>{stateWords(character, state)}</b>: {means}
                        </dd>
                      </div>
                    ))}
                  </dl>
                </Section>
              );
            })}
          </ScrollRegion>
        </>
      }
      dark={
        <ScrollRegion label="Words of the answer" className="dark-page">
          <h2 className="section-title">What the answers say</h2>
          <dl className="glosses">
            {WORD_GLOSSES.map(({ word, means }) => (
              <div key={word}>
                <dt className="strong">{word}</dt>
                <dd className="soft">{means.charAt(0).toUpperCase() + means.slice(1)}</dd>
              </div>
            ))}
          </dl>
        </ScrollRegion>
      }
    />
  );
}
