import ts from 'typescript';

/** One small wrong change: replacement text for the expression between two offsets. */
export interface Mutation {
  readonly from: number;
  readonly to: number;
  readonly wrong: string;
  /** File and change, for looking it up. */
  readonly line: number;
  readonly was: string;
  readonly text: string;
}

const { SyntaxKind } = ts;

/** The easily missed mistake for each operator: the boundary, the sign, the other connective. */
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

/** Whether a number is a key: of an object, or of what is taken from one. */
const isPropertyName = (node: ts.NumericLiteral): boolean =>
  (ts.isPropertyAssignment(node.parent) && node.parent.name === node) ||
  (ts.isBindingElement(node.parent) && node.parent.propertyName === node);

/** Every mutation of a source that still compiles: operators, numbers, conditions, and their descriptions. */
export function mutationsOf(path: string, source: string): Mutation[] {
  const file = ts.createSourceFile(path, source, ts.ScriptTarget.ES2022, true);
  const found: Mutation[] = [];
  /** `node` within the expression `whole` replaced by `text`. */
  const change = (node: ts.Node, text: string, whole: ts.Expression) => {
    const [from, at] = [whole.getStart(file), node.getStart(file)];
    found.push({
      from,
      to: whole.getEnd(),
      wrong: source.slice(from, at) + text + source.slice(node.getEnd(), whole.getEnd()),
      line: file.getLineAndCharacterOfPosition(at).line + 1,
      was: node.parent.getText(file).slice(0, 100).replaceAll(/\s+/g, ' '),
      text,
    });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const other = instead[node.operatorToken.kind];
      const joinsText = [node.left, node.right].some(
        (side) => ts.isStringLiteral(side) || ts.isTemplateExpression(side),
      );
      if (other !== undefined && !joinsText) change(node.operatorToken, other, node);
    }
    if (ts.isNumericLiteral(node) && !isPropertyName(node))
      change(node, String(Number(node.text) * (Number(node.text) > 5 ? 1.2 : 1) + 1), node);
    if (ts.isIfStatement(node))
      change(node.expression, `!(${node.expression.getText(file)})`, node.expression);
    if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent)) {
      const text = node.getText(file);
      const other = otherName[text] ?? otherName[node.name.text];
      if (other !== undefined) change(text in otherName ? node : node.name, other, node.parent);
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

/** The source with every mutant of a list compiled in, each inactive until `__isOn` of its number is true. */
export function withAll(source: string, mutations: readonly (Mutation & { readonly id: number })[]): string {
  const inserted = mutations.flatMap(({ id, from, to, wrong }) => [
    // Of two that begin at one offset the longer opens first; of two that end at one, the shorter closes first.
    { at: from, order: source.length - (to - from), text: `(__isOn(${id})?(${wrong}):(` },
    { at: to, order: -1, text: '))' },
  ]);
  inserted.sort((a, b) => b.at - a.at || b.order - a.order);
  return inserted.reduce((text, { at, text: put }) => text.slice(0, at) + put + text.slice(at), source);
}
