/** The raw knowledge sheets, packed as tables, put there by the build. */
declare module "virtual:sheets" {
  export const sheets: unknown;
}
