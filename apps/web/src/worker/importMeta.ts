// a library that asks where its module is gets the worker's own address; it has to be there before that library is read
const registry = globalThis as { __ExpoImportMetaRegistry?: { url: string } };
registry.__ExpoImportMetaRegistry ??= { url: self.location.href };

export {};
