/** Reading of pictures: fetched when a picture is read, since no answer needs it. */
export { findCard, readColour } from "@jittery-cap/core";
