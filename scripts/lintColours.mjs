const COLOUR = /^(#[0-9a-fA-F]{3,8}|rgba?\(.*|hsla?\(.*)$/;

/** A rule of our own: colours come from the tokens, so that both themes have them. */
export default {
  meta: { name: 'steddo' },
  rules: {
    'colours-from-tokens': {
      create: (context) => ({
        Literal(node) {
          if (typeof node.value === 'string' && COLOUR.test(node.value))
            context.report({ node, message: 'Colours come from tokens.' });
        },
      }),
    },
  },
};
