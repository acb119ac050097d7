/** The roles of a circle in words. */
import type { PlaceShown, Role } from "@jittery-cap/core/people";

export const ROLE_WORDS: Readonly<Record<Role, { readonly name: string; readonly about: string }>> = {
  owner: { name: "owner", about: "sees to the circle" },
  member: { name: "member", about: "shares and looks" },
  knows: { name: "one who knows", about: "counts as a second person, in the hand, for the genera below" },
  learner: { name: "learner", about: "before food, one who knows has to have it in the hand" },
};

export const PLACE_WORDS: Readonly<Record<PlaceShown, { readonly name: string; readonly about: string }>> = {
  none: { name: "no place", about: "nor your name and note for it: they may tell the place" },
  rounded: { name: "to ten kilometres", about: "and nothing in your own words" },
  exact: { name: "the very place", about: "with its name and your notes" },
};
