const { deserialize, serialize } = require('node:v8');

/** Every browser has it; the test environment, a page without a browser, does not. */
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
