import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

/** Words that the glossary names as not said. */
function readUnsaid(): string[] {
  const [, table = ""] = readFileSync("docs/GLOSSARY.md", "utf8").split("## One word a thing");
  return [...table.matchAll(/^\| (?!said|-)[^|]+\|([^|]+)\|$/gm)].flatMap(([, words]) =>
    words!.split(",").map((word) => word.trim()),
  );
}

function listFiles(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === "__tests__" ? [] : listFiles(at);
    return /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name) ? [at] : [];
  });
}

/** Attributes whose words are read or read out. */
const SPOKEN = new Set([
  "aria-label",
  "title",
  "placeholder",
  "label",
  "legend",
  "hint",
  "alt",
  "caption",
  "note",
]);

/** Every piece of text that a screen may show: what stands between tags, and what spoken attributes say. */
function listWords(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const literals = (node: ts.Node): void => {
    if (ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node))
      found.push(node.text);
    node.forEachChild(literals);
  };
  const visit = (node: ts.Node): void => {
    if (ts.isJsxText(node)) found.push(node.text);
    else if (ts.isJsxAttribute(node) && ts.isIdentifier(node.name) && SPOKEN.has(node.name.text))
      node.forEachChild(literals);
    else if (ts.isJsxAttribute(node) && node.name.getText() === "aria-label") node.forEachChild(literals);
    node.forEachChild(visit);
  };
  visit(source);
  return found.map((text) => text.replaceAll(/\s+/g, " ").trim()).filter((text) => /[a-z]{3}/i.test(text));
}

const unsaid = readUnsaid();
const said = listFiles("src/ui").flatMap((file) => listWords(file).map((text) => ({ file, text })));

test("the glossary's table and the screens' words are found", () => {
  expect(unsaid.length).toBeGreaterThan(12);
  expect(unsaid).toContain("delete");
  expect(said.length).toBeGreaterThan(800);
  expect(said.map(({ text }) => text)).toContain("Take an order");
});

test("screens say one word a thing: what the glossary does not say, no screen says", () => {
  const forbidden = new RegExp(`\\b(${unsaid.join("|")})s?\\b`, "i");
  expect(said.filter(({ text }) => forbidden.test(text))).toEqual([]);
});

test("a count is never told with a plural in brackets", () => {
  expect(said.filter(({ text }) => /\w\((s|es)\)/.test(text))).toEqual([]);
});
