/** The inks of the whole application: the pigments of spore prints on moss-black and bone-white. */
export const tone = {
  moss: "#171c16",
  mossRaised: "#222920",
  mossLine: "#333b30",
  bone: "#f4efe3",
  boneDeep: "#e9e3d2",
  boneLine: "#cfc8b2",
  paper: "#fcfaf4",
  ink: "#1d211a",
  inkSoft: "#42483c",
  onDark: "#f4efe3",
  onDarkSoft: "#c3c6b4",
  onDarkFaint: "#b0b6a3",
  salmon: "#e8a78e",
  rust: "#772f12",
  chocolate: "#4a2b20",
  plum: "#33222e",
  clay: "#9a6b46",
  ochre: "#c08f35",
  cream: "#efe3c2",
  sage: "#6f7d5a",
} as const;

/** Colours of states, as one would mix them; a state's name is always written beside its colour. */
export const PIGMENTS: Readonly<Record<string, string>> = {
  white: "#fdfcf6",
  cream: "#f4e9cb",
  buff: "#dcc49a",
  yellow: "#e8cf62",
  "yellow-brown": "#b58c45",
  "faint-yellow": "#efe3a0",
  "chrome-yellow": "#e6b800",
  ochre: "#c9963d",
  orange: "#d98233",
  peach: "#eeb48f",
  red: "#b3402e",
  pink: "#dba195",
  pinkish: "#dcae9f",
  "wine-red": "#7d2f3a",
  rust: "#9c4a1f",
  "rust-brown": "#9c4a1f",
  brown: "#82593a",
  "clay-brown": "#a67a52",
  "red-brown": "#8a452b",
  "chocolate-brown": "#4b2c22",
  "purple-brown": "#4a2c3a",
  "olive-brown": "#6d6238",
  grey: "#a3a298",
  "purple-grey": "#7d7280",
  "grey-black": "#4a4a48",
  olive: "#87864b",
  "olive-green": "#97984f",
  green: "#74905c",
  "yellow-green": "#b9b962",
  lilac: "#a992b4",
  purple: "#6c4a77",
  blue: "#5b7a94",
  "slight-blue": "#a9bcc4",
  "strong-blue": "#3f6384",
  black: "#2a2825",
  tan: "#c9a877",
  tawny: "#ad7136",
  marbled: "#cdb7a0",
};

/** What a soil, a leaf, a shade is drawn with. */
export const DRAWING = {
  line: tone.ink,
  faint: "#a8a391",
  paper: "#fbf6e8",
  flesh: "#fffdf6",
  shade: "rgba(60, 56, 40, 0.16)",
  soil: "#dcd3bb",
  leaf: "#8b8f5f",
  wood: "#cdb48c",
} as const;

export const FONT = {
  text: '"Plain Zero", "Atkinson Hyperlegible Next Variable", "Atkinson Hyperlegible Next", system-ui, sans-serif',
  name: '"Source Serif 4", Georgia, serif',
} as const;

/** Smallest touch target in the field views, px. */
export const TOUCH = 48;

/** Where both halves stand side by side: the breakpoint `md`, as a media query. */
export const WIDE = "(min-width:900px)";
