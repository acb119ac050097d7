/** What of the sheets the season needs: fetched when it is asked for, since no answer needs it. */
export { ownMark, seasonSheet, tellingLook } from "@jittery-cap/core/season";
