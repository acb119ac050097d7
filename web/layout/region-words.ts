/** A part of the world as people write it: "North America east". */
export const regionWords = (region: string): string =>
  region
    .split("-")
    .map((word) => (word === "east" || word === "west" ? word : word.charAt(0).toUpperCase() + word.slice(1)))
    .join(" ")
    .replace(/^(east|west)/, (word) => word.charAt(0).toUpperCase() + word.slice(1));
