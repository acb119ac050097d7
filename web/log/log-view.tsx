/** Log: every find with how it stands by today's sheets, and a new one at one touch. */
import { type Find, figureOf } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useCallback, useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { VERDICT_WORDS } from "../card/verdict-words.ts";
import { type Listed, listFinds, removeFind, restoreFind } from "../device/api.ts";
import { device, touchesKept, waitingFor } from "../device/device.ts";
import { deliver, onDelivery, waitingInAll } from "../device/outbox.ts";
import { Drawing } from "../find/drawing.tsx";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { LogDark } from "./log-dark.tsx";

type Line = {
  readonly find: Find;
  readonly verdict: Listed["verdict"] | undefined;
  readonly onDeviceOnly: boolean;
};

export function LogView() {
  const navigate = useNavigate();
  const { start } = useFind();
  const [lines, setLines] = useState<readonly Line[]>();
  const [offline, setOffline] = useState(false);
  const [waiting, setWaiting] = useState(0);
  const [removed, setRemoved] = useState<Find>();
  const [refusal, setRefusal] = useState<string>();

  const load = useCallback(async () => {
    await touchesKept();
    const [listed, kept, waiting] = await Promise.all([listFinds(), device.finds.toArray(), device.waiting.toArray()]);
    setOffline(listed === undefined);
    setWaiting(await waitingInAll());
    const listedIds = new Set(listed?.map((one) => one.find.id));
    // the server has not heard the latest touches of these: its verdict is that of an older record, and is not shown
    const unsent = new Set(waiting.map((one) => one.findId));
    const onDevice = kept.filter(
      (one) => listed === undefined || unsent.has(one.id) || (one.version === 0 && !listedIds.has(one.id)),
    );
    const here = new Set(onDevice.map((one) => one.id));
    const all: Line[] = [
      ...onDevice.map(({ find }) => ({ find, verdict: undefined, onDeviceOnly: true })),
      ...(listed ?? [])
        .filter(({ find }) => !here.has(find.id))
        .map(({ find, verdict }) => ({ find, verdict, onDeviceOnly: false })),
    ];
    setLines(all.sort((one, other) => (other.find.foundAt ?? "").localeCompare(one.find.foundAt ?? "")));
  }, []);
  useEffect(() => void load(), [load]);
  // what is delivered while the log is open no longer waits
  useEffect(() => onDelivery((delivery) => void (delivery.state === "saved" && load())), [load]);

  const remove = async (find: Find) => {
    setRemoved(undefined);
    setRefusal(undefined);
    // what the server has not heard would be lost with the copy on this device
    await deliver(find.id);
    const isUnsent = (await waitingFor(find.id)).length > 0;
    if (isUnsent || !(await removeFind(find.id)))
      return setRefusal(
        `“${find.label ?? "A find"}” is not put away: the server cannot be reached, or has not heard all of it.`,
      );
    await device.finds.delete(find.id);
    setRemoved(find);
    await load();
  };

  return (
    <SplitCard
      darkShare={0.55}
      darkFirst={false}
      light={
        <>
          <Trail view="log" />
          <Box
            sx={{
              display: "flex",
              alignItems: "center",
              justifyContent: "space-between",
              px: { xs: 2.5, md: 3.5 },
              pt: 2.5,
              pb: 1.5,
              flex: "none",
            }}
          >
            <Typography variant="h2" component="h1">
              Finds
            </Typography>
            <Link to="/exchange" style={{ color: tone.ink, marginLeft: "auto", marginRight: 20 }}>
              Files
            </Link>
            <ButtonBase
              onClick={() => void start().then((id) => navigate(`/find/${id}/bodies`))}
              sx={{
                minHeight: TOUCH + 4,
                px: 3,
                bgcolor: tone.ink,
                color: tone.bone,
                fontSize: "1.0625rem",
                fontWeight: 700,
                "&:hover": { bgcolor: tone.mossRaised },
              }}
            >
              New find
            </ButtonBase>
          </Box>
          {offline && <Note>The server cannot be reached. Shown is what is on this device.</Note>}
          {waiting > 0 && (
            <Note>
              {waiting === 1 ? "1 change" : `${waiting} changes`} on this device only; sent as soon as there is a
              server.
            </Note>
          )}
          {refusal !== undefined && (
            <Box role="alert">
              <Note>{refusal}</Note>
            </Box>
          )}
          {removed !== undefined && (
            <Note>
              “{removed.label ?? "A find"}” was put away.{" "}
              <ButtonBase
                onClick={() =>
                  void restoreFind(removed.id).then(() => {
                    setRemoved(undefined);
                    return load();
                  })
                }
                sx={{
                  font: "inherit",
                  fontWeight: 750,
                  textDecoration: "underline",
                  minHeight: TOUCH - 8,
                  px: 1,
                }}
              >
                Bring it back
              </ButtonBase>
            </Note>
          )}
          <Box
            component="ul"
            aria-label="Finds, latest first"
            sx={{
              listStyle: "none",
              m: 0,
              p: 0,
              overflowY: "auto",
              flex: 1,
              minHeight: 0,
              borderTop: `1px solid ${tone.boneLine}`,
            }}
          >
            {lines?.map((line) => (
              <LogLine key={line.find.id} line={line} onRemove={() => void remove(line.find)} />
            ))}
            {lines?.length === 0 && (
              <Box component="li" sx={{ p: 3.5 }}>
                No find yet. The first one is one touch away.
              </Box>
            )}
          </Box>
        </>
      }
      dark={<LogDark lines={lines} />}
    />
  );
}

function Note({ children }: { children: React.ReactNode }) {
  return (
    <Box
      role="status"
      sx={{ mx: { xs: 2.5, md: 3.5 }, mb: 1.5, px: 1.5, py: 0.75, borderLeft: `4px dashed ${tone.sage}` }}
    >
      {children}
    </Box>
  );
}

const PICTURE = 62;

function LogLine({ line, onRemove }: { line: Line; onRemove: () => void }) {
  const { find, verdict, onDeviceOnly } = line;
  const grown = find.bodies.find((body) => body.keep !== false) ?? find.bodies[0];
  const figure = grown === undefined ? undefined : figureOf(find, grown, 0);
  const day =
    find.foundAt === undefined ? "" : new Date(find.foundAt).toLocaleDateString([], { day: "numeric", month: "short" });
  return (
    <Box
      component="li"
      sx={{
        display: "flex",
        alignItems: "center",
        borderBottom: `1px solid ${tone.boneLine}`,
        pr: { xs: 1, md: 2 },
        "&:hover": { bgcolor: tone.paper },
      }}
    >
      <Box
        component={Link}
        to={`/find/${find.id}`}
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "56px 1fr", md: "72px 1fr auto" },
          columnGap: 2,
          alignItems: "center",
          flex: 1,
          minWidth: 0,
          color: tone.ink,
          textDecoration: "none",
          px: { xs: 2.5, md: 3.5 },
          py: 1,
        }}
      >
        <Box
          sx={{
            height: PICTURE,
            display: "flex",
            alignItems: "center",
            justifyContent: "center",
            gridRow: { xs: "1 / span 2", md: "1" },
          }}
        >
          {figure !== undefined && (
            <Drawing
              figure={figure}
              scale={Math.min(PICTURE / (figure.top - figure.bottom), 64 / (figure.right - figure.left))}
            />
          )}
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontWeight: 700, fontSize: "1.0625rem", lineHeight: 1.25 }}>{find.label ?? "not named yet"}</Box>
          <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
            {[day, find.place?.name, find.bodies.length === 1 ? "1 body" : `${find.bodies.length} bodies`]
              .filter(Boolean)
              .join(" · ")}
          </Box>
        </Box>
        <Box sx={{ textAlign: { md: "right" }, fontWeight: 750 }}>
          {verdict === undefined ? (onDeviceOnly ? "changes on this device only" : "") : VERDICT_WORDS[verdict]}
        </Box>
      </Box>
      {!onDeviceOnly && (
        <ButtonBase
          aria-label={`Put away ${find.label ?? "this find"}`}
          onClick={onRemove}
          sx={{
            minWidth: TOUCH,
            minHeight: TOUCH,
            color: tone.inkSoft,
            fontSize: "0.9375rem",
            px: 1,
            "&:hover": { color: tone.ink, textDecoration: "underline" },
          }}
        >
          put away
        </ButtonBase>
      )}
    </Box>
  );
}
