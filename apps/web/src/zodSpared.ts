/**
 * Stands in for what of zod no page uses: its languages, foreign schemas read and written, schemas compiled ahead. What
 * asks for one of them here gets nothing; schemas ask for none while they are made or read with.
 */
const locale = () => ({ localeError: () => undefined });
export const en = locale;
export default { en };
