/** So many lines of a function are read at a sight. */
const MOST = 60;

/**
 * A function of more than sixty lines besides its markup. What a screen looks like is a drawing and may be long; what is
 * decided and worked out in it may not. Blank lines and comments are not counted.
 */
const rule = {
  meta: {
    type: 'suggestion',
    schema: [],
    messages: { long: '{{lines}} lines besides the markup; at most {{most}}: give parts of it names.' },
  },
  create(context) {
    const { sourceCode } = context;
    const silent = new Set(sourceCode.lines.flatMap((l, i) => (/^\s*$/.test(l) ? [i + 1] : [])));
    for (const { loc, range } of sourceCode.getAllComments())
      for (let n = loc.start.line; n <= loc.end.line; n++) {
        const before = n === loc.start.line ? sourceCode.lines[n - 1].slice(0, loc.start.column) : '';
        const after = n === loc.end.line ? sourceCode.text.slice(range[1]).split('\n')[0] : '';
        if (!before.trim() && !after.trim()) silent.add(n);
      }
    const stack = [];
    const enter = (node) => stack.push({ node, markup: [] });
    const leave = () => {
      const { node, markup } = stack.pop();
      const lines = new Set();
      for (let n = node.loc.start.line; n <= node.loc.end.line; n++) if (!silent.has(n)) lines.add(n);
      for (const { loc } of markup) for (let n = loc.start.line; n <= loc.end.line; n++) lines.delete(n);
      if (lines.size > MOST)
        context.report({ node, messageId: 'long', data: { lines: lines.size, most: MOST } });
      // What is markup to a function within is markup to the one about it.
      stack.at(-1)?.markup.push(...markup);
    };
    const drawn = (node) => stack.at(-1)?.markup.push(node);
    return {
      FunctionDeclaration: enter,
      FunctionExpression: enter,
      ArrowFunctionExpression: enter,
      'FunctionDeclaration:exit': leave,
      'FunctionExpression:exit': leave,
      'ArrowFunctionExpression:exit': leave,
      JSXElement: drawn,
      JSXFragment: drawn,
    };
  },
};

const house = { meta: { name: 'house' }, rules: { 'long-functions': rule } };
export default house;
