/** The finds of the log: only the lines on the screen are drawn, and only they are judged. */
import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useRef } from "react";
import { isReadable, type Kept } from "../documents/documents.ts";
import type { LogPage } from "./find-lines.ts";
import { LogLine } from "./log-line.tsx";

/** How tall a line is before it is drawn, px; it is as tall as what it says. */
const LINE = 78;

interface LogLinesProps {
  readonly page: LogPage;
  readonly onMore: () => void;
  readonly onRemove: (find: Kept<"find">) => Promise<void>;
}

export function LogLines({ page: { kept, more, queued }, onMore, onRemove }: LogLinesProps) {
  const scroll = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: kept.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => LINE,
    overscan: 6,
    getItemKey: (index) => kept[index]?.id ?? index,
  });
  const shown = rows.getVirtualItems();
  const last = shown.at(-1)?.index ?? 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when the last line comes into sight, and not when the asker changes
  useEffect(() => {
    if (more && last >= kept.length - 1) onMore();
  }, [more, last, kept.length]);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls can be reached by keyboard
    <section ref={scroll} className="log-scroll" tabIndex={0} aria-label="Finds, latest first">
      <ul className="log-lines" style={{ height: rows.getTotalSize() }}>
        {shown.map(({ key, index, start }) => {
          const one = kept[index];
          const place = { minHeight: LINE, transform: `translateY(${start}px)` };
          if (one === undefined) return null;
          return isReadable(one) ? (
            <LogLine
              key={key}
              find={one}
              style={place}
              index={index}
              measure={rows.measureElement}
              isOnDeviceOnly={one.version === 0 || queued.has(one.id)}
              onRemove={() => void onRemove(one)}
            />
          ) : (
            <li key={key} ref={rows.measureElement} data-index={index} className="log-line log-end" style={place}>
              A find that this program cannot read. It is kept as it is: {one.id}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
