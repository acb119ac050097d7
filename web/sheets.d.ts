/** The raw knowledge sheets by file name, put there by the build. */
declare module "virtual:sheets" {
  export const sheets: Readonly<Record<string, unknown>>;
}
