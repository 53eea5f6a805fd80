/** Stands in for zod's locales in the web app: nothing here reads zod's own messages in other languages. */
const locale = () => ({ localeError: () => undefined });
export const en = locale;
export default { en };
