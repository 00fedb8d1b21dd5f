import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** Files whose words are spoken: no tests, no machinery. */
export function sources(root = 'src'): string[] {
  const out: string[] = [];
  const walk = (dir: string) => {
    for (const e of readdirSync(dir, { withFileTypes: true })) {
      const path = join(dir, e.name);
      if (e.isDirectory()) {
        if (!/testing$|migrations$/.test(path)) walk(path);
      } else if (/\.tsx?$/.test(e.name) && !/\.test\.tsx?$/.test(e.name)) out.push(path);
    }
  };
  walk(root);
  return out;
}

const SILENT_ATTRIBUTES =
  /^(className|d|viewBox|href|id|key|name|type|transform|points|style|role|rel|src|form|list|fill|stroke.*|font.*)$/;

/**
 * The parts of a file that people read: strings with a space or a capital, and the text of pages, with the line each
 * stands in.
 */
export function spokenIn(path: string, text = readFileSync(path, 'utf8')): { text: string; line: number }[] {
  const file = ts.createSourceFile(
    path,
    text,
    ts.ScriptTarget.Latest,
    false,
    path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const out: { text: string; line: number }[] = [];
  const visit = (node: ts.Node, parent?: ts.Node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isTaggedTemplateExpression(node)) return;
    if (ts.isJsxAttribute(node) && SILENT_ATTRIBUTES.test(node.name.getText(file))) return;
    const piece =
      ts.isStringLiteral(node) ||
      ts.isNoSubstitutionTemplateLiteral(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddle(node) ||
      ts.isTemplateTail(node) ||
      ts.isJsxText(node);
    if (piece) {
      const own = node.getText(file);
      const word = node.text.trim();
      const key =
        ts.isStringLiteral(node) &&
        parent &&
        (ts.isLiteralTypeNode(parent) || (ts.isPropertyAssignment(parent) && parent.name === node));
      const label = ts.isJsxText(node) || /\s/.test(word) || /^[A-Z]/.test(word) || !ts.isStringLiteral(node);
      if (!key && label && /[a-z]{2}/i.test(word))
        out.push({ text: own, line: file.getLineAndCharacterOfPosition(node.getStart(file)).line + 1 });
    }
    ts.forEachChild(node, (c) => visit(c, node));
  };
  visit(file);
  return out;
}
