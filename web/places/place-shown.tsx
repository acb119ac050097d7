/** What others may see of a place, and the link by which they see it: frozen as it goes, and taken back at any time. */

import { ROUTES } from "@jittery-cap/core/api";
import { type KeptPlace, PLACE_SHARE_WORDS, PLACE_SHARES, sharedPlace } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useCallback, useEffect, useState } from "react";
import { uuidv7 } from "uuidv7";
import { ask, valueOrNothing } from "../api/client.ts";
import { linkTo, under } from "../base.ts";
import { match } from "../documents/sync.ts";
import { Section } from "../layout/section.tsx";
import type { SetPlace } from "./place-view.tsx";

interface PlaceShownProps {
  readonly place: KeptPlace;
  readonly onSet: SetPlace;
}

interface PlaceLink {
  readonly id: string;
  readonly token: string;
  readonly openUntil: string;
}

export function PlaceShown({ place: { id, content }, onSet }: PlaceShownProps) {
  const [name, setName] = useState("");
  const [links, setLinks] = useState<readonly PlaceLink[]>([]);
  const [said, setSaid] = useState<string>();
  const told = sharedPlace(content, name.trim() === "" ? "a place of mine" : name.trim());
  const look = useCallback(async () => {
    const reply = await valueOrNothing(ROUTES.listPlaceLinks, { params: { id } });
    setLinks(reply?.links ?? []);
  }, [id]);
  useEffect(() => void look(), [look]);
  const share = async () => {
    // what goes is what the server holds: it hears of the latest first
    await match("send");
    const outcome = await ask(ROUTES.makePlaceLink, { params: { id }, body: { id: uuidv7(), name: told.name } });
    setSaid(
      outcome.kind === "ok"
        ? undefined
        : "No link could be made: the server is not to be had, or does not hold the place yet.",
    );
    await look();
  };
  const open = links.filter(({ openUntil }) => Date.parse(openUntil) > Date.now());
  return (
    <Section
      title="What others may see of it"
      about="Of its position. Its own name, its owner, patches, notes and height never go along."
    >
      <ToggleButtonGroup
        exclusive
        value={content.share}
        onChange={(_event, next: string | null) => {
          const shares = PLACE_SHARES.find((one) => one === next);
          if (shares !== undefined) onSet({ share: shares });
        }}
        aria-label="What others may see of its position"
        className="outing-by"
      >
        {PLACE_SHARES.map((one) => (
          <ToggleButton key={one} value={one}>
            {PLACE_SHARE_WORDS[one]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <p className="soft above" data-testid="shown-as">
        {told.position === undefined
          ? "Others see no position at all."
          : `Others see ${told.position.lat}, ${told.position.lon}, give or take ${told.position.accuracyM} m.`}
      </p>
      <div className="actions above">
        <TextField
          label="What others call it"
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Button onClick={() => void share()}>Make a link</Button>
      </div>
      {said !== undefined && <p role="alert">{said}</p>}
      {open.map((link) => (
        <p key={link.id} className="pot-line" data-testid="place-link">
          <a href={under(`/place/${link.token}`)} className="grow">
            {linkTo("/place")}/{link.token.slice(0, 6)}…
          </a>
          <Button
            variant="quiet"
            onClick={() => void ask(ROUTES.withdrawPlaceLink, { params: { id, link: link.id } }).then(look)}
          >
            Take it back
          </Button>
        </p>
      ))}
    </Section>
  );
}
