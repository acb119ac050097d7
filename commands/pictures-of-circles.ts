/** The pictures of who one is and of a circle, with the invented one of the demo. */
import { INVENTED, INVENTED_CIRCLE } from "../demo/invented-people.ts";
import { DESK, NOBODY, PHONE, type Picture } from "./picture.ts";

const KNOWS = INVENTED[1].id;

export const PICTURES_OF_CIRCLES: readonly Picture[] = [
  {
    name: "sign-in",
    size: PHONE,
    as: NOBODY,
    path: () => "/finds",
    prepare: (page) => page.getByText("Three who do not exist").waitFor(),
  },
  {
    name: "circle-desk",
    size: DESK,
    path: () => `/circles/${INVENTED_CIRCLE.id}`,
    prepare: (page) => page.getByText("You see to this circle.").waitFor(),
  },
  {
    name: "queue-desk",
    size: DESK,
    as: KNOWS,
    path: () => "/circles",
    prepare: async (page) => {
      await page.getByText("One find waits for your eyes.").waitFor();
      await page.getByRole("link", { name: /A find of/ }).waitFor();
    },
  },
  {
    name: "shared-phone",
    size: PHONE,
    as: KNOWS,
    find: INVENTED_CIRCLE.shared,
    path: (id) => `/finds/${id}/record/cap`,
    prepare: (page) => page.getByTestId("shared-note").waitFor(),
  },
];
