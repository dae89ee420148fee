import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

/** A named figure of the core, as it stands in the code. */
export interface Prior {
  readonly name: string;
  /** As it is written: a number, a list, a sum of others. */
  readonly value: string;
  /** By the end of its name; empty where it has none. */
  readonly unit: string;
  /** Its comment, on one line; empty where nobody gave a reason. */
  readonly reason: string;
  /** From the house's own root. */
  readonly file: string;
}

/** What the end of a name says, the longest first. */
const units: readonly (readonly [string, string])[] = [
  ["_W_PER_M2K", "W/m² K"],
  ["_G_PER_ML", "g/ml"],
  ["_PER_MIN", "1/min"],
  ["_SHARE", "share"],
  ["_DAYS", "days"],
  ["_LOTS", "lots"],
  ["_MM2", "mm²"],
  ["_MIN", "min"],
  ["_MM", "mm"],
  ["_ML", "ml"],
  ["_KG", "kg"],
  ["_MS", "ms"],
  ["_G", "g"],
  ["_C", "°C"],
  ["_S", "s"],
  ["_W", "W"],
];

/** A number, or what is reckoned from numbers and other named figures alone. */
const isFigure = (node: ts.Expression): boolean =>
  ts.isNumericLiteral(node) ||
  (ts.isPrefixUnaryExpression(node) && isFigure(node.operand)) ||
  (ts.isBinaryExpression(node) && isFigure(node.left) && isFigure(node.right)) ||
  (ts.isParenthesizedExpression(node) && isFigure(node.expression)) ||
  (ts.isArrayLiteralExpression(node) && node.elements.length > 0 && node.elements.every(isFigure)) ||
  (ts.isAsExpression(node) && isFigure(node.expression)) ||
  (ts.isIdentifier(node) && /^[A-Z][A-Z0-9_]*$/.test(node.text));

/** Every named figure of a folder's files, tests left out, file by file in the order of the code. */
export function listPriors(folder: string): Prior[] {
  return readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((file) => file.endsWith(".ts") && !/\.test\.ts$|__tests__/.test(file))
    .sort()
    .flatMap((file) => listOfFile(path.posix.join(folder, file.replaceAll("\\", "/"))));
}

function listOfFile(file: string): Prior[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.ES2022, true);
  return source.statements.filter(ts.isVariableStatement).flatMap((statement) => {
    const [declaration] = statement.declarationList.declarations;
    if (!declaration?.initializer || !ts.isIdentifier(declaration.name)) return [];
    const name = declaration.name.text;
    if (!/^[A-Z][A-Z0-9_]*$/.test(name) || !isFigure(declaration.initializer)) return [];
    return [
      {
        name,
        value: declaration.initializer.getText(source).replace(/ as const$/, ""),
        unit: units.find(([end]) => name.endsWith(end))?.[1] ?? "",
        reason: readReason(statement, source),
        file,
      },
    ];
  });
}

/** The comment before a constant, or of the one before it that it continues: constants of one comment stand together. */
function readReason(statement: ts.Statement, source: ts.SourceFile): string {
  const text = source.text;
  const ranges = ts.getLeadingCommentRanges(text, statement.getFullStart()) ?? [];
  const last = ranges.at(-1);
  if (last)
    return text
      .slice(last.pos, last.end)
      .replace(/^\/\*\*?|\*\/$|^\/\//g, "")
      .replace(/\n\s*\*/g, " ")
      .replace(/\s+/g, " ")
      .trim();
  const at = source.statements.indexOf(statement);
  const before = source.statements[at - 1];
  const isNext = before && !/\n\s*\n/.test(text.slice(before.end, statement.getStart(source)));
  return isNext && ts.isVariableStatement(before) ? readReason(before, source) : "";
}

/** The reference as a page: a table for each room. */
export function writePriors(priors: readonly Prior[]): string {
  const roomOf = ({ file }: Prior) => path.posix.dirname(file);
  const rooms = [...new Set(priors.map(roomOf))];
  const cell = (text: string) => text.replaceAll("|", "\\|");
  return [
    "# The figures that the core takes for granted",
    "",
    "Made from the code by `npm run priors`; a test holds the two together. What a baker's log teaches moves",
    "some of them (see how-it-works.md, habits); all others are changed where they stand.",
    ...rooms.flatMap((room) => [
      "",
      `## ${room}`,
      "",
      "| figure | value | unit | why |",
      "| --- | --- | --- | --- |",
      ...priors
        .filter((prior) => roomOf(prior) === room)
        .map(
          ({ name, value, unit, reason, file }) =>
            `| \`${name}\` (${path.posix.basename(file)}) | ${cell(value)} | ${unit} | ${cell(reason)} |`,
        ),
    ]),
    "",
  ].join("\n");
}
