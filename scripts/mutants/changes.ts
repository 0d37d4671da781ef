import ts from 'typescript';

/** One change of a source text. */
export interface Mutant {
  readonly file: string;
  /** where, in characters of the file's text */
  readonly start: number;
  readonly end: number;
  readonly text: string;
  readonly was: string;
  readonly line: number;
  readonly sort: 'operator' | 'constant' | 'condition';
}

/** Operators and what each becomes: its edge moved, or its sense turned round. */
const OPERATORS = new Map<ts.SyntaxKind, readonly string[]>([
  [ts.SyntaxKind.LessThanToken, ['<=', '>=']],
  [ts.SyntaxKind.LessThanEqualsToken, ['<', '>']],
  [ts.SyntaxKind.GreaterThanToken, ['>=', '<=']],
  [ts.SyntaxKind.GreaterThanEqualsToken, ['>', '<']],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, ['!==']],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, ['===']],
  [ts.SyntaxKind.AmpersandAmpersandToken, ['||']],
  [ts.SyntaxKind.BarBarToken, ['&&']],
  [ts.SyntaxKind.PlusToken, ['-']],
  [ts.SyntaxKind.MinusToken, ['+']],
  [ts.SyntaxKind.AsteriskToken, ['/']],
  [ts.SyntaxKind.SlashToken, ['*']],
  [ts.SyntaxKind.PlusEqualsToken, ['-=']],
  [ts.SyntaxKind.MinusEqualsToken, ['+=']],
]);

const isText = (node: ts.Node): boolean =>
  ts.isStringLiteralLike(node) ||
  ts.isTemplateExpression(node) ||
  (ts.isBinaryExpression(node) && (isText(node.left) || isText(node.right))) ||
  (ts.isParenthesizedExpression(node) && isText(node.expression));

/** A constant a little off: by one where it is whole, by a fifth where it is not. */
const moved = (text: string): string => (/^\d+$/.test(text) ? String(Number(text) + 1) : `(${text} * 1.2)`);

/** All the changes of one operator, constant or condition that a file has room for. */
export function mutantsOf(file: string, text: string): Mutant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.ES2022, true);
  const found: Mutant[] = [];
  const add = (node: ts.Node, becomes: string, sort: Mutant['sort']): void => {
    const start = node.getStart(source);
    const line = source.getLineAndCharacterOfPosition(start).line + 1;
    found.push({ file, start, end: node.end, text: becomes, was: text.slice(start, node.end), line, sort });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node) && !(isText(node.left) || isText(node.right)))
      for (const becomes of OPERATORS.get(node.operatorToken.kind) ?? []) add(node.operatorToken, becomes, 'operator');
    const isKey = ts.isPropertyAssignment(node.parent) && node.parent.name === node;
    if (ts.isNumericLiteral(node) && !isKey) add(node, moved(node.text), 'constant');
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false', 'constant');
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true', 'constant');
    if (ts.isIfStatement(node) || ts.isWhileStatement(node))
      add(node.expression, `!(${node.expression.getText(source)})`, 'condition');
    if (ts.isConditionalExpression(node)) add(node.condition, `!(${node.condition.getText(source)})`, 'condition');
    if (ts.isPropertyAccessExpression(node) && node.getText(source) === 'Math.min') add(node, 'Math.max', 'operator');
    if (ts.isPropertyAccessExpression(node) && node.getText(source) === 'Math.max') add(node, 'Math.min', 'operator');
    ts.forEachChild(node, visit);
  };
  ts.forEachChild(source, visit);
  return found;
}

export const changed = (text: string, { start, end, text: becomes }: Mutant): string =>
  text.slice(0, start) + becomes + text.slice(end);
