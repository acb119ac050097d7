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

  const say = () => {
    const told = document.createElement("p");
    told.id = "not-whole";
    told.setAttribute("role", "alert");
    told.style.cssText =
      "font: 1.25rem/1.5 system-ui, sans-serif; max-width: 32em; margin: 15vh auto; padding: 0 1.5rem";
    told.textContent =
      "Jittery Cap could not be fetched whole. It is tried again. Until there is an answer, leave the mushroom where it is.";
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
