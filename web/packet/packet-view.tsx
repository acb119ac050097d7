/** A packet, as somebody who was asked sees it: what the finder recorded, no answer; their own looks and their name. */
import {
  applyChange,
  type Change,
  type CharacterId,
  type Find,
  figureOf,
  figureText,
  isCharacterId,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { useParams } from "react-router";
import { uuidv7 } from "uuidv7";
import { SplitCard } from "../card/split-card.tsx";
import { looksIn, type OpenPacket, openPacket, sendOpinion } from "../device/packets.ts";
import { BodiesRow } from "../find/bodies-row.tsx";
import { CharacterBlock } from "../find/character-block.tsx";
import { Choice } from "../find/choice.tsx";
import { Drawing } from "../find/drawing.tsx";
import { STATIONS } from "../find/stations.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

/** Stations whose characters are asked of somebody else; the ground is told by the finder. */
const ASKED = STATIONS.filter((station) => station.id !== "ground" && station.id !== "bodies");

const charactersOf = (station: (typeof ASKED)[number] | undefined): CharacterId[] =>
  station?.questions.flatMap((question) =>
    question.kind === "character" && isCharacterId(question.character) ? [question.character] : [],
  ) ?? [];

export function PacketView() {
  const { token = "" } = useParams();
  const [packet, setPacket] = useState<OpenPacket | "missing">();
  const [mine, setMine] = useState<Find>();
  const [bodyId, setBodyId] = useState("A");
  const [station, setStation] = useState<string>("cap");
  const [name, setName] = useState("");
  const [inHand, setInHand] = useState<boolean>();
  const [sent, setSent] = useState<"sent" | "failed">();
  const [isOpen, setIsOpen] = useState(false);
  const opinionId = useRef(uuidv7());
  useEffect(() => {
    void openPacket(token).then((found) => {
      setPacket(found ?? "missing");
      // their own looks begin with nothing, so that they are their own
      if (found !== undefined)
        setMine({ ...found.record, bodies: found.record.bodies.map(({ seen: _seen, ...body }) => body) });
    });
  }, [token]);
  if (packet === undefined || packet === "missing" || mine === undefined)
    return (
      <Box component="main" sx={{ p: 4 }}>
        <Typography variant="h2" component="h1">
          {packet === "missing" ? "There is no such packet" : "Opening the packet"}
        </Typography>
        {packet === "missing" && <Typography>Its link may be wrong, or its find was put away.</Typography>}
      </Box>
    );
  const { record, pictures } = packet;
  const theirs = record.bodies.find((body) => body.id === bodyId) ?? record.bodies[0];
  const own = mine.bodies.find((body) => body.id === theirs?.id);
  if (theirs === undefined || own === undefined) return null;
  const change = (made: Change) => {
    const applied = applyChange(mine, made);
    if (applied.ok) setMine(applied.value.find);
  };
  const looks = looksIn(mine);
  const figure = figureOf(record, theirs);
  return (
    <SplitCard
      darkShare={0.5}
      light={
        <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 3, pb: 4, overflowY: "auto", flex: 1, minHeight: 0 }}>
          <Typography variant="h2" component="h1">
            What do you see?
          </Typography>
          <Typography sx={{ color: tone.inkSoft, pb: 1.5 }}>
            Somebody asks for a second pair of eyes. Record what you see yourself.{" "}
            {isOpen ? "No" : "What the finder recorded is covered, and no"} answer is shown, so that yours is your own.
          </Typography>
          {record.bodies.length > 1 && (
            <BodiesRow find={mine} chosen={theirs.id} onChoose={setBodyId} height={60} words={false} />
          )}
          <Box
            role="group"
            aria-label="Where to look"
            sx={{
              display: "grid",
              gap: 0.75,
              gridTemplateColumns: { xs: "repeat(4, 1fr)", md: "repeat(7, 1fr)" },
              py: 1.5,
            }}
          >
            {ASKED.map((one) => (
              <Choice
                key={one.id}
                quiet
                label={one.name}
                state={one.id}
                chosen={station === one.id}
                onChoose={() => setStation(one.id)}
              />
            ))}
          </Box>
          {charactersOf(ASKED.find((one) => one.id === station)).map((character) => (
            <CharacterBlock
              key={`${theirs.id} ${character}`}
              find={mine}
              body={own}
              character={character}
              active={false}
              stakes={[]}
              masks={[]}
              onActivate={() => undefined}
              onChange={change}
            />
          ))}
          <Box
            component="section"
            aria-label="Who you are"
            sx={{ borderTop: `1px solid ${tone.boneLine}`, pt: 2, display: "grid", gap: 1.25, maxWidth: 520 }}
          >
            <InputBase
              value={name}
              onChange={(event) => setName(event.target.value)}
              placeholder="your name"
              inputProps={{ "aria-label": "Your name", maxLength: 120 }}
              sx={{ minHeight: TOUCH, px: 1.25, bgcolor: tone.paper, border: `1px solid ${tone.boneLine}` }}
            />
            <Box
              role="group"
              aria-label="How you saw it"
              sx={{ display: "grid", gap: 1, gridTemplateColumns: "1fr 1fr" }}
            >
              <Choice
                quiet
                label="I had it in my hand"
                state="in-hand"
                chosen={inHand === true}
                onChoose={() => setInHand(true)}
              />
              <Choice
                quiet
                label="from pictures only"
                state="pictures"
                chosen={inHand === false}
                onChoose={() => setInHand(false)}
              />
            </Box>
            <ButtonBase
              disabled={name.trim() === "" || inHand === undefined || looks.length === 0}
              onClick={() =>
                void sendOpinion(token, {
                  id: opinionId.current,
                  name: name.trim(),
                  inHand: inHand === true,
                  looks,
                }).then((ok) => setSent(ok ? "sent" : "failed"))
              }
              sx={{
                minHeight: TOUCH + 4,
                px: 2,
                bgcolor: tone.ink,
                color: tone.bone,
                fontWeight: 750,
                opacity: name.trim() === "" || inHand === undefined || looks.length === 0 ? 0.5 : 1,
              }}
            >
              {`Send what I saw, ${looks.length} ${looks.length === 1 ? "look" : "looks"}`}
            </ButtonBase>
            <Box role="status">
              {sent === "sent" && "Sent. Thank you; the finder sees it now."}
              {sent === "failed" && "It could not be sent. Try again; nothing is lost while this page is open."}
            </Box>
          </Box>
        </Box>
      }
      dark={
        <Box sx={{ p: { xs: 2.5, md: 3.25 }, overflowY: "auto" }}>
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", pb: pictures.length > 0 ? 2 : 0 }}>
            {pictures.map((picture) => (
              <img
                key={picture.id}
                src={`/api/packets/${token}/pictures/${picture.id}`}
                alt={`${picture.part}${picture.body === undefined ? "" : ` of ${picture.body}`}`}
                height={120}
              />
            ))}
          </Box>
          {isOpen ? (
            <>
              <Typography variant="h3" component="h2">
                As it was recorded
              </Typography>
              <Box sx={{ bgcolor: tone.bone, my: 1.5, p: 1.5, display: "flex", justifyContent: "center" }}>
                <Drawing
                  figure={figure}
                  scale={Math.min(240 / (figure.top - figure.bottom), 330 / (figure.right - figure.left))}
                  label={figureText(record, theirs)}
                />
              </Box>
              <Typography sx={{ color: tone.onDarkSoft }}>{figureText(record, theirs)}</Typography>
              <Box sx={{ pt: 2 }}>
                <a href={`/api/packets/${token}/paper.pdf?size=A5`} style={{ color: tone.onDark }}>
                  The same on paper (PDF)
                </a>
              </Box>
            </>
          ) : (
            <>
              <Typography variant="h3" component="h2">
                What was recorded is covered
              </Typography>
              <Typography sx={{ color: tone.onDarkSoft, pt: 0.5, pb: 1.5 }}>
                So that your look is your own. Uncover it when you have recorded what you see.
              </Typography>
              <ButtonBase
                onClick={() => setIsOpen(true)}
                sx={{
                  minHeight: TOUCH,
                  px: 2,
                  border: `1px solid ${tone.onDarkSoft}`,
                  color: tone.onDark,
                  font: "inherit",
                }}
              >
                Uncover it
              </ButtonBase>
            </>
          )}
        </Box>
      }
    />
  );
}
