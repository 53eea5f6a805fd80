import { z } from 'zod';
import { crewKit } from './catalogue';
import { job } from './job';

/** What web and server say to each other of the crew: who is let in, on what, and what a customer may see. */

const id = z.string().min(1).max(80);
const personName = z.string().trim().min(1, 'takes a name').max(60, 'takes 60 letters at most');
const deviceName = z.string().trim().min(1, 'takes a name').max(60, 'takes 60 letters at most');

/** Short ones are guessed; ASVS 2.1.1 wants twelve. */
export const PASSCODE = { least: 12, most: 128 } as const;

export const passcode = z
  .string()
  .min(PASSCODE.least, `takes ${PASSCODE.least} letters or more`)
  .max(PASSCODE.most, `takes ${PASSCODE.most} letters at most`);

/** Letters and digits that are not taken for each other, without I, L, O and U. */
export const PAIRING_LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
export const PAIRING_LENGTH = 8;

/** A pairing code as somebody types it: small letters, gaps, an O for a nought. */
export const pairingCode = z
  .string()
  .max(40)
  .transform((text) => text.toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1'))
  .refine(
    (text) => text.length === PAIRING_LENGTH && [...text].every((letter) => PAIRING_LETTERS.includes(letter)),
    `takes the ${PAIRING_LENGTH} letters and digits that the other device shows`,
  );

/** Lets a device into the crew, by the passcode or by a code that a device of the crew shows. */
export const enterRequest = z.union(
  [
    z.strictObject({
      passcode: z.string().min(1, 'takes the crew’s passcode').max(PASSCODE.most),
      person: personName,
      device: deviceName,
    }),
    z.strictObject({ code: pairingCode, person: personName, device: deviceName }),
  ],
  'takes passcode or code, person and device',
);

export const crewMember = z.strictObject({ id, person: z.string(), name: z.string() });

/** Whether this server asks who somebody is, and who it knows this device as. */
export const crewReply = z.strictObject({
  crew: z.boolean(),
  me: crewMember.optional(),
  /** This device was in, and somebody has taken it out. */
  takenOut: z.strictObject({ at: z.string() }).optional(),
});

export const crewDevice = crewMember.extend({
  pairedAt: z.string(),
  /** Who let it in; empty where the passcode did. */
  pairedBy: z.string(),
  /** The day on which it was last heard of. */
  seenOn: z.string(),
  takenOut: z.strictObject({ at: z.string(), by: z.string() }).optional(),
});
export const crewDevices = z.strictObject({ devices: z.array(crewDevice) });
export const renameRequest = z.strictObject({ person: personName, device: deviceName });

export const pairingReply = z.strictObject({ code: z.string(), endsAt: z.string() });

/** A customer's link; its secret part is told once, to who made it. */
export const customerLink = z.strictObject({
  id,
  madeAt: z.string(),
  madeBy: z.string(),
  opened: z.number().int(),
  openedAt: z.string(),
  withdrawnAt: z.string().optional(),
});
export const customerLinks = z.strictObject({ links: z.array(customerLink) });
export const madeLink = z.strictObject({ id, secret: z.string() });

/** What a customer's link shows: one room, with what the crew sets it with. */
export const shownRoom = z.strictObject({
  job,
  savedAt: z.string(),
  kit: crewKit,
});

export type EnterRequest = z.infer<typeof enterRequest>;
export type CrewReply = z.infer<typeof crewReply>;
export type CrewMember = z.infer<typeof crewMember>;
export type CrewDevice = z.infer<typeof crewDevice>;
export type PairingReply = z.infer<typeof pairingReply>;
export type CustomerLink = z.infer<typeof customerLink>;
export type MadeLink = z.infer<typeof madeLink>;
export type ShownRoom = z.infer<typeof shownRoom>;
