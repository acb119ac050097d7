/** The front door of the documents: what a person keeps, how it is changed, and who may what. */
export type { ContentOf } from "./contents.ts";
export type { DocumentKind, Listed } from "./kind.ts";
export { readContent } from "./kind.ts";
export type { SetField } from "./kinds/fields.ts";
export { type Opinion, opinionSchema } from "./kinds/opinion.ts";
export { PICTURE_PARTS, type Picture, type PicturePart, pictureSchema } from "./kinds/picture.ts";
export type { SettingsChange } from "./kinds/settings.ts";
export { KIND_NAMES, KINDS, type KindName } from "./kinds.ts";
export { type Actor, LOCAL_PERSON, may, type Owned, ownerOf, type Person, type Standing, type Verb } from "./policy.ts";
export {
  type ArchiveChange,
  applyTouches,
  doMeet,
  type Held,
  isArchiving,
  type Touch,
  type Touched,
  touchSchemaOf,
} from "./touch.ts";
