/** The front door of the drawn pictures: a camera that does not exist, for trying the reader and for devices without one. */
export {
  DEPOSITS,
  depositLab,
  drawLyingPrint,
  drawSetting,
  type Setting,
  type SyntheticPicture,
  showingSide,
  syntheticPicture,
} from "./synthetic-picture.ts";
