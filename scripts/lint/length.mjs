/** Lines of code that a function may have. */
export const most = 60

/** The lines of a node that hold code: neither blank nor of comments alone. */
function linesOf(node, source) {
  const lines = new Set()
  for (const token of source.getTokens(node)) for (let line = token.loc.start.line; line <= token.loc.end.line; line++) lines.add(line)
  return lines
}

/** A composable or a store's set-up: a room in the form of a function, whose steps are the functions in it. */
function isSetup(node) {
  if (node.type === 'FunctionDeclaration') return /^use[A-Z]/.test(node.id?.name ?? '')
  return node.parent.type === 'CallExpression' && node.parent.callee.name === 'defineStore'
}

/** Holds how long functions are. Of composables and stores' set-ups the lines of the functions in them do not count: each has its own. */
export const lengthRule = {
  meta: {
    type: 'suggestion',
    schema: [],
    messages: { long: 'This function has {{lines}} lines; {{most}} are the most. What is longer is steps without names.' },
  },
  create(context) {
    const source = context.sourceCode
    /** The functions that the walk stands in, with the lines of those that were within. */
    const standing = []
    const enter = () => standing.push(new Set())
    const leave = node => {
      const within = standing.pop()
      const lines = linesOf(node, source)
      for (const line of lines) standing.at(-1)?.add(line)
      const counted = isSetup(node) ? [...lines].filter(line => !within.has(line)) : [...lines]
      if (counted.length > most) context.report({ node, messageId: 'long', data: { lines: counted.length, most } })
    }
    const kinds = ['FunctionDeclaration', 'FunctionExpression', 'ArrowFunctionExpression']
    return Object.fromEntries(
      kinds.flatMap(kind => [
        [kind, enter],
        [`${kind}:exit`, leave],
      ]),
    )
  },
}
