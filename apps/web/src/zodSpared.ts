/** Stands in for zod’s languages and its reading of foreign schemas: nothing of the web app uses either. */
const locale = () => ({ localeError: () => undefined });
export const en = locale;
export default { en };
