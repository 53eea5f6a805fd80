/** Where the database is: a file of this machine, or a server of its own that several processes share. */
export type Place = { kind: 'file'; path: string } | { kind: 'server'; url: string; token: string | undefined };

const SERVER = /^(libsql|https?):\/\//;

export const isServer = (where: string): boolean => SERVER.test(where);

/** In words for people, without the token or anything else of the address that may be secret. */
export const placeText = (place: Place): string => {
  if (place.kind === 'file') return place.path;
  const { protocol, host } = new URL(place.url);
  return `${protocol}//${host}`;
};
