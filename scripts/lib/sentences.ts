import ts from 'typescript';

/** What somebody reads, and where it stands. */
export type Said = { line: number; text: string };

/** Attributes whose text is read, or read aloud. */
const READ = new Set([
  'label',
  'title',
  'placeholder',
  'hint',
  'aria-label',
  'alt',
  'text',
  'legend',
  'summary',
  'heading',
  'what',
  'name',
]);
/** Words in which a text is no sentence of anybody's: names of modules, classes, keys. */
const NO_WORDS = /^[\w-]*$|^[./@#]|^(GET|POST|PUT) |^[a-z]+(-[a-z0-9]+)+$|^\S+\.(tsx?|css|scss|svg|json)$/;
const MARKUP = new Set([
  'className',
  'style',
  'href',
  'src',
  'd',
  'viewBox',
  'id',
  'htmlFor',
  'key',
  'type',
  'variant',
  'size',
  'path',
  'transform',
]);

/**
 * The sentences and labels of a source file, in their order: texts between tags, attributes that are read, and strings of several words. A part
 * that is filled in while the program runs stands as …; what is only for the machine (class names, addresses, queries) is left out.
 */
export function sentencesIn(code: string, fileName: string): Said[] {
  const file = ts.createSourceFile(
    fileName,
    code,
    ts.ScriptTarget.Latest,
    true,
    fileName.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: Said[] = [];
  const add = (node: ts.Node, text: string) => {
    const said = text.replace(/\s+/g, ' ').trim();
    if (/\p{L}{2}/u.test(said)) found.push({ line: file.getLineAndCharacterOfPosition(node.getStart(file)).line + 1, text: said });
  };
  const visit = (node: ts.Node): void => {
    // 'use client'
    if (ts.isExpressionStatement(node) && ts.isStringLiteral(node.expression)) return;
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxAttribute(node)) {
      const name = node.name.getText(file);
      if (MARKUP.has(name)) return;
      if (node.initializer && ts.isStringLiteral(node.initializer)) {
        if (READ.has(name)) add(node, node.initializer.text);
        return;
      }
    }
    if (ts.isTaggedTemplateExpression(node)) return;
    if (ts.isJsxText(node)) add(node, node.text);
    else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (isSentence(node.text)) add(node, node.text);
    } else if (ts.isTemplateExpression(node)) {
      const text = node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('');
      if (isSentence(text)) add(node, text);
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

/** Whether a string is words for somebody: several of them, or one that begins like a label. */
function isSentence(text: string): boolean {
  const said = text.trim();
  if (
    said.split(' ').every((word) => /^[a-z0-9-]+$/.test(word)) &&
    /\b(btn|form|text|fs|fw|mb|mt|me|ms|d|gap|row|small|visually)-/.test(said)
  )
    return false;
  if (NO_WORDS.test(said) && !/^\p{Lu}\p{Ll}+$/u.test(said)) return false;
  // Classes, styles and paths have no two words of letters in a row.
  return /\p{L}{2,}[.,;:!?’]? \p{L}/u.test(said) || /^\p{Lu}\p{Ll}+$/u.test(said) || /… \p{L}{2}|\p{L}{2} …/u.test(said);
}
