/**
 * Runs before the program and has no part in it: where a file of the program could not be fetched, or came in halves, the page says so,
 * fetches what it needs past the browser's store, and begins anew. A white page would say nothing to somebody in a wood.
 */
(() => {
  const KEY = "jittery-cap begun anew";
  const FIRST_WAIT_MS = 2000;
  const LONGEST_WAIT_MS = 60_000;
  const MOUNTED_AFTER_MS = 10_000;
  let isUnderWay = false;

  const root = () => document.getElementById("root");
  const isThere = () => (root()?.childElementCount ?? 0) > 0 && document.getElementById("not-whole") === null;

  /** What of the program the page asked for so far. */
  const asked = () => [
    ...new Set(
      [
        ...performance.getEntriesByType("resource").map((one) => one.name),
        ...[...document.querySelectorAll("script[src], link[href]")].map((one) => one.src ?? one.href),
      ].filter((address) => new URL(address).pathname.includes("/assets/")),
    ),
  ];

  const beginAnew = async () => {
    await Promise.all(asked().map((address) => fetch(address, { cache: "reload" }).catch(() => undefined)));
    window.location.reload();
  };

  const part = (name, style, text) => {
    const made = document.createElement(name);
    made.style.cssText = style;
    made.textContent = text;
    return made;
  };

  const say = () => {
    const told = part(
      "div",
      "position: fixed; inset: 0; box-sizing: border-box; padding: 12vh max(1.5rem, 50vw - 17rem); background: #171c16; color: #f3eee2; font: 1.25rem/1.5 system-ui, sans-serif",
      "",
    );
    told.id = "not-whole";
    told.setAttribute("role", "alert");
    told.append(
      part("p", "margin: 0; font-size: 3rem; font-weight: 800", "Hold"),
      part(
        "p",
        "",
        "Jittery Cap could not be fetched whole. It is tried again. Leave the mushroom where it is until then.",
      ),
      part("p", "", "If somebody has eaten of it, do not wait for this page: call the emergency number."),
    );
    root()?.replaceChildren(told);
  };

  const hear = () => {
    if (isUnderWay || isThere()) return;
    isUnderWay = true;
    const times = Number(sessionStorage.getItem(KEY) ?? 0);
    sessionStorage.setItem(KEY, String(times + 1));
    document.readyState === "loading" ? addEventListener("DOMContentLoaded", say) : say();
    setTimeout(() => void beginAnew(), Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** times));
  };
  // what cannot be fetched tells its own element alone: it is heard on the way down
  addEventListener("error", hear, true);
  setTimeout(() => isThere() && sessionStorage.removeItem(KEY), MOUNTED_AFTER_MS);
})();
