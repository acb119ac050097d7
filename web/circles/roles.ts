/** The roles of a circle in words. */
import type { PlaceShown, Role } from "@jittery-cap/core/people";

export const ROLE_WORDS: Readonly<
  Record<Role, { readonly name: string; readonly about: string; readonly yours: string }>
> = {
  owner: {
    name: "owner",
    about: "Sees to the circle: who is in it, and as what.",
    yours: "You see to this circle.",
  },
  member: { name: "member", about: "Shares finds and looks at those of others.", yours: "You share and look." },
  knows: {
    name: "one who knows",
    about: "Counts as a second person with the find in the hand, for the genera the circle trusts them with.",
    yours: "Your looks in the hand count for the others.",
  },
  learner: {
    name: "learner",
    about: "Before any find of theirs is food, one who knows has had it in the hand.",
    yours: "You learn: before food, one who knows has it in the hand.",
  },
};

export const PLACE_WORDS: Readonly<Record<PlaceShown, { readonly name: string; readonly about: string }>> = {
  none: {
    name: "no place",
    about: "They see what you recorded, but neither the place nor your own words for it, which may tell it.",
  },
  rounded: {
    name: "to ten kilometres",
    about: "They see what you recorded and where it is to ten kilometres, but nothing in your own words.",
  },
  exact: { name: "the very place", about: "They see all that you recorded, with the place, its name and your notes." },
};
