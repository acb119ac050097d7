/** Inviting, and coming by an invitation. */
import type { Parts, Reached } from "../parts.ts";
import { type Handlers, WithStatus } from "../serve.ts";
import { addressOf, doorOf } from "./door.ts";

type Names = "invite" | "listInvitations" | "withdrawInvitation" | "readInvitation" | "join";

export function invitationHandlers(parts: Parts, reached: Reached): Pick<Handlers, Names> {
  const { invitations, tries } = parts;
  const { begin } = doorOf(parts, reached);
  return {
    invite: async ({ actor, body }) => new WithStatus(201, await invitations.make(actor.id, body.id, body.note)),
    listInvitations: async ({ actor }) => ({ invitations: await invitations.list(actor.id) }),
    withdrawInvitation: async ({ actor, params }) => {
      await invitations.withdraw(actor.id, params.id);
      return undefined;
    },
    readInvitation: async ({ params, request }) => {
      await tries.count(addressOf(request), addressOf(request));
      const open = await invitations.open(params.token);
      await tries.right(addressOf(request), addressOf(request));
      return open;
    },
    join: async ({ params, body: { id, ...told }, request }) => {
      await tries.count(addressOf(request), addressOf(request));
      await invitations.use(params.token, id, told);
      await tries.right(addressOf(request), addressOf(request));
      return new WithStatus(201, await begin(request, id));
    },
  };
}
