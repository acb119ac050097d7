/** The one person of an installation that has no sign-in: owner of everything recorded on it. */
export const LOCAL_PERSON = "0193a000-0000-7000-8000-000000000001";
