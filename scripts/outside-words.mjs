/**
 * Lint: what comes from outside is never a key of a plain object (`constructor`, `__proto__`). A table by any word is
 * read through `own` of core/measure or is a Map.
 */
export const outsideWords = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { own: 'A word that may come from outside: read this table by `own(table, word)`, or make it a Map.' },
  },
  create(context) {
    const { program, esTreeNodeToTSNodeMap } = context.sourceCode.parserServices;
    const checker = program.getTypeChecker();
    const typeOf = (node) => checker.getTypeAtLocation(esTreeNodeToTSNodeMap.get(node));
    return {
      MemberExpression(node) {
        if (!node.computed) return;
        const anyWord = (typeOf(node.property).flags & 4) !== 0; // ts.TypeFlags.String: no literal, no union of them
        const table = checker.getNonNullableType(typeOf(node.object));
        if (anyWord && checker.getIndexInfoOfType(table, 0 /* ts.IndexKind.String */))
          context.report({ node, messageId: 'own' });
      },
    };
  },
};
