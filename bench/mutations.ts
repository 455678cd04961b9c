import ts from 'typescript';

/** One small wrong change: the text from one offset to another replaced. */
export interface Mutation {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** Where and what, as a person would look it up. */
  readonly line: number;
  readonly was: string;
}

const { SyntaxKind } = ts;

/** An operator's most easily missed mistake: the boundary, the sign, the other connective. */
const instead: Partial<Record<ts.SyntaxKind, string>> = {
  [SyntaxKind.LessThanToken]: '<=',
  [SyntaxKind.LessThanEqualsToken]: '<',
  [SyntaxKind.GreaterThanToken]: '>=',
  [SyntaxKind.GreaterThanEqualsToken]: '>',
  [SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [SyntaxKind.PlusToken]: '-',
  [SyntaxKind.MinusToken]: '+',
  [SyntaxKind.AsteriskToken]: '/',
  [SyntaxKind.SlashToken]: '*',
  [SyntaxKind.AmpersandAmpersandToken]: '||',
  [SyntaxKind.BarBarToken]: '&&',
  [SyntaxKind.PlusEqualsToken]: '-=',
};
const otherName: Record<string, string> = {
  'Math.min': 'Math.max',
  'Math.max': 'Math.min',
  'Math.floor': 'Math.ceil',
  'Math.ceil': 'Math.floor',
  every: 'some',
  some: 'every',
};

/** Every mutation of a source that still compiles: operators, numbers, conditions, and the names above. */
export function mutationsOf(path: string, source: string): Mutation[] {
  const file = ts.createSourceFile(path, source, ts.ScriptTarget.ES2022, true);
  const found: Mutation[] = [];
  const change = (node: ts.Node, text: string) => {
    const from = node.getStart(file);
    const line = file.getLineAndCharacterOfPosition(from).line + 1;
    const whole = node.parent.getText(file);
    found.push({ from, to: node.getEnd(), text, line, was: whole.slice(0, 100).replaceAll(/\s+/g, ' ') });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const other = instead[node.operatorToken.kind];
      const joinsText = [node.left, node.right].some(
        (side) => ts.isStringLiteral(side) || ts.isTemplateExpression(side),
      );
      if (other !== undefined && !joinsText) change(node.operatorToken, other);
    }
    if (ts.isNumericLiteral(node))
      change(node, String(Number(node.text) * (Number(node.text) > 5 ? 1.2 : 1) + 1));
    if (ts.isIfStatement(node)) change(node.expression, `!(${node.expression.getText(file)})`);
    if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent)) {
      const text = node.getText(file);
      const other = otherName[text] ?? otherName[node.name.text];
      if (other !== undefined) change(text in otherName ? node : node.name, other);
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}
