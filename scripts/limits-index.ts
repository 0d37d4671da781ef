import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { filesIn, isTest } from './near/tests-of';

export const LIMITS_INDEX = join('docs', 'limits.md');
const ROOMS = ['arrange', 'review', 'remedy', 'repair', 'spread', 'bench', 'kit', 'compare'];

interface Limit {
  readonly file: string;
  readonly line: number;
  readonly name: string;
  readonly value: string;
  /** what the comment over it says that it decides; several may share one */
  readonly says: string;
}

const isNumber = (node: ts.Expression): boolean =>
  ts.isNumericLiteral(node) ||
  (ts.isPrefixUnaryExpression(node) && isNumber(node.operand)) ||
  (ts.isBinaryExpression(node) && isNumber(node.left) && isNumber(node.right)) ||
  (ts.isAsExpression(node) && isNumber(node.expression)) ||
  (ts.isObjectLiteralExpression(node) &&
    node.properties.length > 0 &&
    node.properties.every((p) => ts.isPropertyAssignment(p) && isNumber(p.initializer)));

/** The numbers that a file decides by: its constants in capitals, with the comment over each or over the one before. */
export function limitsOf(file: string): Limit[] {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.ES2022, true);
  const found: Limit[] = [];
  let says = '';
  let above = -1;
  for (const statement of source.statements) {
    const { line } = source.getLineAndCharacterOfPosition(statement.getStart(source));
    const comment = /\/\*\*([\s\S]*?)\*\/\s*$/.exec(
      text.slice(statement.getFullStart(), statement.getStart(source)),
    )?.[1];
    if (comment !== undefined) says = comment.replace(/\s*\n\s*\*?\s*/g, ' ').trim();
    else if (line > above + 1) says = '';
    above = source.getLineAndCharacterOfPosition(statement.end).line;
    if (!ts.isVariableStatement(statement)) continue;
    for (const { name, initializer } of statement.declarationList.declarations)
      if (initializer && isNumber(initializer) && /^[A-Z][A-Z\d_]*$/.test(name.getText(source))) {
        const value = initializer
          .getText(source)
          .replace(/ as const$/, '')
          .replace(/\s+/g, ' ');
        found.push({ file, line: line + 1, name: name.getText(source), value, says });
      }
  }
  return found;
}

export const allLimits = (): { readonly room: string; readonly limits: readonly Limit[] }[] =>
  ROOMS.map((room) => ({
    room,
    limits: filesIn(join('src', 'core', room))
      .filter((file) => !isTest(file))
      .sort()
      .flatMap(limitsOf),
  }));

/** The table of all numbers that the heart decides by, made of the sources. */
export function limitsIndex(): string {
  const cell = (text: string): string => text.replace(/\|/g, '\\|');
  return [
    '# The numbers that Hobnail decides by',
    '',
    'Made from the sources by `npm run schemas`: every limit and weight of arranging, judging and repairing, with what it decides. Each stands beside the rule or stage that heeds it; change it there, see what becomes of the weeks by `npm test` (the golden marks name those that change), look at them, and keep them by `npm run golden`. Lengths are in mm.',
    ...allLimits().flatMap(({ room, limits }) => [
      '',
      `## ${room}`,
      '',
      '| number | value | what it decides | where |',
      '|---|---|---|---|',
      ...limits.map(
        ({ file, name, value, says }) =>
          `| ${name} | ${cell(value)} | ${cell(says)} | [${file.split('/').slice(3).join('/')}](../${file}) |`,
      ),
    ]),
    '',
  ].join('\n');
}
