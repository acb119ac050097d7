/** The knowledge sheets, checked and packed by the build. */
declare module "virtual:sheets" {
  export const shelf: import("@jittery-cap/core").PackedShelf;
}
