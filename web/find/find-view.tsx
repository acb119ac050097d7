/** Find: the specimen, its stations, and the dark half that answers every touch. */
import { type Change, type CharacterId, definitionOf, nextBodyId, type PlannedTest } from "@jittery-cap/core";
import useMediaQuery from "@mui/material/useMediaQuery";
import { useCallback, useEffect, useMemo, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { DarkHalf } from "../card/dark-half.tsx";
import { NextNote } from "../card/next-note.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { StateOfView } from "../card/state-of-view.tsx";
import { useFind } from "../state/find-state.ts";
import { DeskFind } from "./desk-find.tsx";
import { KeyHelp } from "./key-help.tsx";
import { CANNOT_TELL, chooseState, couldNot, REASONS, turnSureness } from "./observing.ts";
import { PhoneFind } from "./phone-find.tsx";
import { STATIONS, stationOf, stationOfCharacter, TEST_LOOKS_AT } from "./stations.ts";
import { type KeyAction, useKeys } from "./use-keys.ts";

const WIDE = "(min-width:900px)";

export function FindView() {
  const { id = "", station: word } = useParams();
  const navigate = useNavigate();
  const wide = useMediaQuery(WIDE);
  const { status, find, answer, answerState, lastMove, open, change, undo, redo } = useFind();
  const station = stationOf(word);
  const [bodyId, setBodyId] = useState("A");
  const [active, setActive] = useState<CharacterId>();
  const [help, setHelp] = useState(false);

  useEffect(() => void open(id), [id, open]);

  const body = find?.bodies.find((one) => one.id === bodyId) ?? find?.bodies[0];
  const characters = useMemo(
    () => station.questions.flatMap((question) => (question.kind === "character" ? [question.character] : [])),
    [station],
  );
  const current = active !== undefined && characters.includes(active) ? active : characters[0];

  const goTo = useCallback(
    (character: CharacterId) => {
      const there = stationOfCharacter(character);
      setActive(character);
      if (there !== undefined) navigate(`/find/${id}/${there.id}`, { replace: true });
      // the block is drawn with the next frame
      requestAnimationFrame(() => document.getElementById(`block-${character}`)?.scrollIntoView({ block: "nearest" }));
    },
    [id, navigate],
  );

  const addBody = useCallback(() => {
    if (find === undefined) return;
    const next = nextBodyId(find);
    change({ kind: "add-body", body: { id: next, lifted: "standing" } });
    setBodyId(next);
    navigate(`/find/${find.id}/bodies`, { replace: true });
  }, [find, change, navigate]);

  const goToTest = (test: PlannedTest) => {
    if (test.body !== undefined) setBodyId(test.body);
    if (test.test === "tell-the-age") return navigate(`/find/${id}/bodies`, { replace: true });
    if (test.test === "find-an-older-one") return addBody();
    const character = TEST_LOOKS_AT[test.test];
    if (character !== undefined) goTo(character);
  };

  const onAction = useCallback(
    (action: KeyAction) => {
      if (find === undefined || body === undefined) return;
      const make = (made: Change | undefined) => made !== undefined && change(made);
      switch (action.kind) {
        case "digit":
          return pressDigit(action.index);
        case "move": {
          const place = (current === undefined ? -1 : characters.indexOf(current)) + action.by;
          const next = characters[place];
          return next === undefined ? moveStation(action.by) : goTo(next);
        }
        case "station":
          return moveStation(action.by);
        case "none":
          return (
            current !== undefined &&
            definitionOf(current).states.includes("none") &&
            make(chooseState(find, body, current, "none"))
          );
        case "cannot-tell":
          return current !== undefined && make(couldNot(body, current, CANNOT_TELL));
        case "could-not":
          return current !== undefined && make(couldNot(body, current, REASONS[0] ?? CANNOT_TELL));
        case "unsure":
          return current !== undefined && make(turnSureness(body, current));
        case "next-body": {
          const place = find.bodies.findIndex((one) => one.id === body.id);
          return setBodyId(find.bodies[(place + 1) % find.bodies.length]?.id ?? "A");
        }
        case "add-body":
          return addBody();
        case "undo":
          return undo();
        case "redo":
          return redo();
        case "help":
          return setHelp(true);
      }

      function pressDigit(index: number): void {
        // at Bodies there is no character: there the digits tell the age
        const buttons =
          current === undefined ? document.querySelectorAll<HTMLElement>('[data-told="age"] button') : undefined;
        if (buttons !== undefined) {
          buttons[index]?.click();
          return;
        }
        const state = current === undefined ? undefined : definitionOf(current).states[index];
        if (state !== undefined && current !== undefined && find !== undefined && body !== undefined)
          change(chooseState(find, body, current, state));
      }

      function moveStation(by: 1 | -1): void {
        const next = STATIONS[(STATIONS.indexOf(station) + by + STATIONS.length) % STATIONS.length];
        if (next === undefined) return;
        setActive(undefined);
        navigate(`/find/${id}/${next.id}`, { replace: true });
      }
    },
    [find, body, current, characters, station, id, change, undo, redo, addBody, goTo, navigate],
  );
  useKeys(onAction);

  if (status !== "open" || find === undefined || body === undefined) return <StateOfView view="find" status={status} />;
  const shown = {
    find,
    body,
    station,
    answer,
    active: current,
    onActivate: setActive,
    onChange: change,
    onBody: setBodyId,
    onAddBody: addBody,
  };
  const unsettled =
    answer === undefined
      ? 1
      : answer.dangers.filter((danger) => danger.status !== "ruled-out").length / Math.max(1, answer.dangers.length);
  return (
    <>
      <SplitCard
        darkShare={unsettled}
        light={
          wide ? (
            <DeskFind {...shown} onHelp={() => setHelp(true)} />
          ) : (
            <PhoneFind {...shown} onMove={(by) => onAction({ kind: "move", by })} />
          )
        }
        dark={
          <>
            <DarkHalf answer={answer} state={answerState} lastMove={lastMove} />
            <NextNote tests={answerState === "failed" ? [] : (answer?.next.tests ?? [])} onGo={goToTest} />
          </>
        }
      />
      <KeyHelp open={help} onClose={() => setHelp(false)} />
    </>
  );
}
