/** Links to places over HTTP: the owner makes them, whoever has one sees what the owner shows. */
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";

type Names = "makePlaceLink" | "listPlaceLinks" | "withdrawPlaceLink" | "openPlaceLink";

export function placeHandlers({ placeLinks, documents }: Parts): Pick<Handlers, Names> {
  const noPlace = (id: string) => new Problem(404, `There is no place ${id}.`);
  return {
    makePlaceLink: async ({ actor, params, body }) => {
      const link = await placeLinks.make(actor, params.id, body.id, body.name);
      if (link === undefined) throw noPlace(params.id);
      return new WithStatus(201, link);
    },
    listPlaceLinks: async ({ actor, params }) => {
      if ((await documents.open(actor, params.id, "place")) === undefined) throw noPlace(params.id);
      return { links: await placeLinks.list(actor, params.id) };
    },
    withdrawPlaceLink: async ({ actor, params }) => {
      if (!(await placeLinks.withdraw(actor, params.id, params.link)))
        throw new Problem(404, `There is no link ${params.link}.`);
      return undefined;
    },
    openPlaceLink: async ({ params }) => {
      const place = await placeLinks.open(params.token);
      if (place === undefined)
        throw new Problem(404, "There is no such place. Its link may be wrong or too old, or it was taken back.");
      return place;
    },
  };
}
