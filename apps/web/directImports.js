const { createHash } = require('node:crypto');
const fs = require('node:fs');
const path = require('node:path');

/**
 * A Babel plugin: what is imported from the index of one of our packages is imported from the very file. A page then
 * brings what it uses and not all that the package has, which is three times as much.
 */
const PACKAGES = path.join(__dirname, '../../packages');

/** Of a package's index: what each name is called in which file; `*` where it is the whole file. */
function namesOf(name, babel) {
  const index = path.join(PACKAGES, name, 'src/index.ts');
  const options = { configFile: false, babelrc: false, parserOpts: { plugins: ['typescript'] } };
  const { program } = babel.parseSync(fs.readFileSync(index, 'utf8'), options);
  const names = new Map();
  for (const { type, source, specifiers, exportKind } of program.body) {
    if (type !== 'ExportNamedDeclaration' || !source || exportKind === 'type') continue;
    const file = path.join(path.dirname(index), source.value);
    for (const s of specifiers)
      if (s.exportKind !== 'type')
        names.set(s.exported.name, { file, name: s.type === 'ExportNamespaceSpecifier' ? '*' : s.local.name });
  }
  return names;
}

module.exports = (babel) => {
  const { types: t } = babel;
  const known = new Map();
  const named = (name) => known.get(name) ?? known.set(name, namesOf(name, babel)).get(name);

  /** The same import from the file that has it; undefined where the index does not give it. */
  const direct = (specifier, found, from) => {
    const relative = path.relative(path.dirname(from), found.file);
    const local = t.cloneNode(specifier.local);
    const imported =
      found.name === '*' ? t.importNamespaceSpecifier(local) : t.importSpecifier(local, t.identifier(found.name));
    return t.importDeclaration([imported], t.stringLiteral(relative.startsWith('.') ? relative : `./${relative}`));
  };

  const rewrite = (declaration, from) => {
    const { node } = declaration;
    const [, name] = /^@steddo\/(\w+)$/.exec(node.source.value) ?? [];
    if (!name || node.importKind === 'type') return;
    const made = [];
    const left = node.specifiers.filter((s) => {
      if (s.type !== 'ImportSpecifier' || s.importKind === 'type') return true;
      const found = named(name).get(s.imported.name);
      if (found) made.push(direct(s, found, from));
      return !found;
    });
    if (made.length === 0) return;
    node.specifiers = left;
    declaration.replaceWithMultiple(left.length > 0 ? [node, ...made] : made);
  };

  return {
    name: 'direct-imports',
    visitor: {
      // before anything looks at what is a type only
      Program(program, { filename }) {
        for (const statement of program.get('body')) if (statement.isImportDeclaration()) rewrite(statement, filename);
        program.scope.crawl();
      },
    },
  };
};

/** Another one when any of it would be found elsewhere. */
module.exports.digestOfIndexes = () => {
  const hash = createHash('sha256').update(fs.readFileSync(path.join(__dirname, 'directImports.js')));
  for (const name of fs.readdirSync(PACKAGES)) hash.update(fs.readFileSync(path.join(PACKAGES, name, 'src/index.ts')));
  return hash.digest('hex');
};
