/** The front door of people: who they are to each other and to themselves. */
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
