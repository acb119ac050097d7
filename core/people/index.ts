/** The front door of people: who they are to each other and to themselves. */
export {
  generaOf,
  isTrustedWith,
  mayChangeShared,
  PLACES_SHOWN,
  type PlaceShown,
  ROLES,
  type Role,
  type SaidBy,
  type Shared,
  saidBySchema,
} from "./circle.ts";
export {
  newPasswordSchema,
  type OwnPerson,
  ownPersonSchema,
  PASSWORD_LENGTH,
  personNameSchema,
  signInNameSchema,
  toldCodeSchema,
  toldPasswordSchema,
} from "./person.ts";
export { sharedFind, tellsMore } from "./shared-find.ts";
