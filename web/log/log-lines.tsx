/** The finds of the log: only the lines on the screen are drawn, and only they are judged. */
import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useRef } from "react";
import { isReadable, type Kept } from "../documents/documents.ts";
import { findOf, type LogPage } from "./find-lines.ts";
import { LINE, LogLine } from "./log-line.tsx";
import { isPassing, PassingContext } from "./passing.ts";

/** More finds are read when so few are left below those on the screen. */
const LEFT_BELOW = 12;

interface LogLinesProps {
  readonly page: LogPage;
  readonly onMore: (shown: number) => void;
  /** The same from one drawing to the next: a line is drawn again only when something of it changed. */
  readonly onRemove: (find: Kept<"find">) => Promise<void>;
}

export function LogLines({ page: { rows: finds, more, queued }, onMore, onRemove }: LogLinesProps) {
  const scroll = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: finds.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => LINE,
    overscan: 6,
    getItemKey: (index) => finds[index]?.id ?? index,
  });
  const at = rows.scrollOffset ?? 0;
  const was = useRef(at);
  const isQuick =
    rows.isScrolling && isPassing(was.current, at, scroll.current?.clientHeight ?? Number.POSITIVE_INFINITY);
  useEffect(() => {
    was.current = at;
  }, [at]);
  const shown = rows.getVirtualItems();
  const last = shown.at(-1)?.index ?? 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when the last lines come into sight, and not when the asker changes
  useEffect(() => {
    if (more && last >= finds.length - LEFT_BELOW) onMore(finds.length);
  }, [more, last, finds.length]);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls can be reached by keyboard
    <section ref={scroll} className="log-scroll" tabIndex={0} aria-label="Finds, latest first">
      <PassingContext value={isQuick}>
        <ul className="log-lines" style={{ height: rows.getTotalSize() }}>
          {shown.map(({ key, index, start }) => {
            const row = finds[index];
            if (row === undefined) return null;
            const one = findOf(row);
            return isReadable(one) ? (
              <LogLine
                key={key}
                find={one}
                start={start}
                index={index}
                measure={rows.measureElement}
                isOnDeviceOnly={one.version === 0 || queued.has(one.id)}
                onRemove={onRemove}
              />
            ) : (
              <li
                key={key}
                ref={rows.measureElement}
                data-index={index}
                className="log-line log-end"
                style={{ minHeight: LINE, transform: `translateY(${start}px)` }}
              >
                A find that this program cannot read. It is kept as it is: {one.id}
              </li>
            );
          })}
        </ul>
      </PassingContext>
    </section>
  );
}
