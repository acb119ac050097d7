/** Where the person at the bench is: station, body, question. */
import { type Body, type Find, isCharacterId } from "@jittery-cap/core";
import { useCallback, useEffect, useRef, useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { findPath } from "../addresses.ts";
import type { FindState } from "../session/find-session.ts";
import { useFind, useFindLater } from "../session/session-context.tsx";
import { blockId } from "../specimen/block-id.ts";
import type { PlaceOfTest } from "../specimen/place-of-test.ts";
import { itemOf, type Question, STATIONS, stationOf } from "../specimen/stations.ts";
import { useStationOrder } from "./use-station-order.ts";

/** The body that was chosen, or the first. @throws for a find without a body, which no schema lets through */
function bodyOf(find: Find, id: string): Body {
  const body = find.bodies.find((one) => one.id === id) ?? find.bodies[0];
  if (body === undefined) throw new Error("a find without a body");
  return body;
}

/** The dark half answers first; what the answer changes on the light half, which question comes first, may follow it. */
const answerOf = (state: FindState) => state.answer;

export function usePlace(find: Find) {
  const { id } = find;
  const { station: word } = useParams();
  const [asked, setAsked] = useSearchParams();
  const navigate = useNavigate();
  const answer = useFindLater(answerOf);
  const against = useFind((state) => state.against);
  const station = stationOf(word);
  const [bodyId, setBodyId] = useState("A");
  const [active, setActive] = useState<string>();
  const [alsoOpen, setAlsoOpen] = useState(false);
  const body = bodyOf(find, bodyId);
  const order = useStationOrder(station, find, body, answer, against?.characters);
  const isFolded = active !== undefined && order.also.some((question) => itemOf(question) === active);
  const isUnfolded = alsoOpen || isFolded;
  const shown: readonly Question[] = isUnfolded ? [...order.first, ...order.also] : order.first;
  const items = shown.map(itemOf);
  const current = active !== undefined && items.includes(active) ? active : items[0];

  // brought into sight when it is drawn: another station comes with the address, and that takes as long as it takes
  const sought = useRef<string>(undefined);
  useEffect(() => {
    if (sought.current === undefined || sought.current !== current) return;
    sought.current = undefined;
    document.getElementById(blockId(current))?.scrollIntoView({ block: "nearest" });
  });

  // what was unfolded for one question stays so for the others: nothing below moves when the person goes on
  useEffect(() => {
    if (isFolded) setAlsoOpen(true);
  }, [isFolded]);

  /** Goes to one question, unfolding it where it is folded. */
  const goTo = useCallback(
    ({ station: to, item, body: on }: PlaceOfTest) => {
      if (on !== undefined) setBodyId(on);
      setActive(item);
      sought.current = item;
      if (to !== station.id) setAlsoOpen(false);
      void navigate(findPath(id, "record", to), { replace: true });
    },
    [id, navigate, station.id],
  );

  // an address may name a question: it is opened once, and then the person goes where they like
  useEffect(() => {
    const item = asked.get("ask");
    if (item === null) return;
    setBodyId((before) => asked.get("body") ?? before);
    setActive(item);
    sought.current = item;
    setAsked({}, { replace: true });
  }, [asked, setAsked]);

  /** The station before or after; after the last one comes the answer. */
  const moveStation = (by: 1 | -1) => {
    const next = STATIONS[STATIONS.indexOf(station) + by];
    if (next === undefined) return by === 1 ? void navigate(findPath(id, "decide")) : undefined;
    setActive(undefined);
    setAlsoOpen(false);
    void navigate(findPath(id, "record", next.id), { replace: true });
  };

  /** The question before or after that is shown here; past the last of them the next station. */
  const move = (by: 1 | -1) => {
    const next = items[(current === undefined ? -1 : items.indexOf(current)) + by];
    if (next === undefined) return moveStation(by);
    setActive(next);
    sought.current = next;
  };

  return {
    station,
    body,
    order,
    answer,
    alsoOpen: isUnfolded,
    current,
    character: current !== undefined && isCharacterId(current) ? current : undefined,
    setBodyId,
    setActive,
    setAlsoOpen,
    goTo,
    move,
    moveStation,
  };
}
