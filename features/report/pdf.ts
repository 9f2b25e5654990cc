import 'server-only';
import { createElement, type ReactElement } from 'react';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import svgToPdf from 'svg-to-pdfkit';
import type { Report, ReportShot } from '@/core/report/report';
import { isSquadReport, type GivenReport } from '@/core/report/given-report';
import type { SquadReport } from '@/core/report/squad-report';
import { counted, listed } from '@/core/units/format';
import { sayBetween, sayStrokes } from '@/core/units/strokes';
import { Tape } from '@/ui/tape';
import { ReportBars } from './report-bars';
import { FOLLOWING } from './report-view';
import { squadFoot } from './squad-view';

/** The colours of the theme (ui/theme.scss) as they are printed. */
const INK = {
  ink: '#16202a',
  'ink-2': '#3b4651',
  line: '#d9d1be',
  tape: '#f0bf2c',
  'tape-ink': '#2b2200',
  hole: '#982b1a',
  level: '#1d5a88',
  mark: '#fffdf7',
};
const printed = (svg: string) => svg.replaceAll(/var\(--([a-z0-9-]+)\)/g, (_, name: string) => INK[name as keyof typeof INK] ?? INK.ink);

/** The program's own letters: for each weight the files that have them, the usual ones first. */
const FILES = ['latin', 'latin-ext', 'vietnamese'] as const;
const WEIGHTS = { plain: 400, bold: 700 } as const;
type Weight = keyof typeof WEIGHTS;
const fontFile = (letters: string, weight: Weight) =>
  join(process.cwd(), 'node_modules/@fontsource/archivo/files', `archivo-${letters}-${WEIGHTS[weight]}-normal.woff`);

const MARGIN = 44;
const WIDTH = 595.28 - 2 * MARGIN;

/** A report of either kind as PDF, A4, with the program's own fonts and drawings as lines. */
export function reportPdf(report: GivenReport): Promise<Buffer> {
  if (isSquadReport(report)) return squadReportPdf(report);
  return pdfOf(`${report.player}, ${report.period}`, report.academy, (pen) => write(pen, report));
}

/** A row for each player, on as many pages as it takes. */
function squadReportPdf(report: SquadReport): Promise<Buffer> {
  return pdfOf(`Squad, ${report.period}`, report.academy, (pen) => writeSquad(pen, report));
}

async function pdfOf(title: string, author: string, fill: (pen: Pen) => void): Promise<Buffer> {
  // Next.js takes the import of this by its name for a mistake of a page.
  const { renderToStaticMarkup } = await import('react-dom/server');
  const doc = new PDFDocument({ size: 'A4', margin: MARGIN, info: { Title: title, Author: author, Creator: 'Inch Game' }, lang: 'en' });
  for (const weight of Object.keys(WEIGHTS) as Weight[])
    for (const letters of FILES) doc.registerFont(`${weight} ${letters}`, fontFile(letters, weight));
  const done = finished(doc);
  fill(new Pen(doc, (drawing) => printed(renderToStaticMarkup(drawing))));
  doc.end();
  return done;
}

function finished(doc: PDFKit.PDFDocument): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
}

/** Writes down the page. */
class Pen {
  constructor(
    readonly doc: PDFKit.PDFDocument,
    readonly svgOf: (drawing: ReactElement) => string,
  ) {
    doc.y = MARGIN;
  }

  /** Text in the files that have its letters; what none has is shown as the first one shows it. */
  #runs(text: string, weight: Weight): { font: string; text: string }[] {
    const runs: { font: string; text: string }[] = [];
    for (const sign of text) {
      const letters = FILES.find((one) => this.#has(`${weight} ${one}`, sign)) ?? FILES[0];
      const font = `${weight} ${letters}`;
      const last = runs.at(-1);
      // A blank stays with what stands before it.
      if (last && (last.font === font || sign === ' ')) last.text += sign;
      else runs.push({ font, text: sign });
    }
    return runs;
  }

  #has(font: string, sign: string): boolean {
    this.doc.font(font);
    const { font: kit } = (this.doc as unknown as { _font: { font: { hasGlyphForCodePoint(code: number): boolean } } })._font;
    return kit.hasGlyphForCodePoint(sign.codePointAt(0)!);
  }

  text(text: string, { weight = 'plain', size = 9.5, color = INK.ink, x = MARGIN, width = WIDTH, gap = 2 }: Style = {}): void {
    const { doc } = this;
    const runs = this.#runs(text, weight);
    doc.fillColor(color).fontSize(size);
    doc.x = x;
    runs.forEach((run, i) => {
      const continued = i < runs.length - 1;
      doc.font(run.font);
      if (i === 0) doc.text(run.text, x, doc.y, { width, continued, lineGap: 1 });
      else doc.text(run.text, { continued });
    });
    doc.x = MARGIN;
    doc.y += gap;
  }

  /** Cells beside each other; what is below begins under the longest. */
  row(cells: readonly { text?: string; draw?: ReactElement; width: number; weight?: Weight; color?: string }[], size = 9): void {
    const { doc } = this;
    const top = doc.y;
    let [x, bottom] = [MARGIN, top];
    for (const { text, draw, width, weight = 'plain', color = INK.ink } of cells) {
      doc.y = top;
      if (draw) {
        svgToPdf(doc, this.svgOf(draw), x, top - 2, {
          ...DRAWN,
          width: width - 8,
          height: 16,
          preserveAspectRatio: 'xMinYMid meet',
        });
        doc.y = top + 13;
      } else this.text(text ?? '', { x, width: width - 8, weight, color, size, gap: 0 });
      bottom = Math.max(bottom, doc.y);
      x += width;
    }
    doc.y = bottom + 2;
    doc
      .moveTo(MARGIN, doc.y)
      .lineTo(MARGIN + WIDTH, doc.y)
      .lineWidth(0.5)
      .strokeColor(INK.line)
      .stroke();
    doc.y += 3;
  }

  title(text: string, below: string): void {
    const { doc } = this;
    this.text(text, { weight: 'bold', size: 22, gap: 0 });
    this.text(below, { color: INK['ink-2'], gap: 4 });
    doc.rect(MARGIN, doc.y, WIDTH, 5).fill(INK.tape);
    doc.y += 12;
  }

  /** Goes on on the next page where less than so much of this one is left. */
  room(height: number): void {
    const { doc } = this;
    if (doc.y + height <= doc.page.height - MARGIN) return;
    doc.addPage();
    doc.y = MARGIN;
  }

  head(text: string): void {
    this.doc.y += 6;
    this.text(text, { weight: 'bold', size: 11.5, gap: 2 });
  }

  draw(drawing: ReactElement, height: number): void {
    const { doc } = this;
    svgToPdf(doc, this.svgOf(drawing), MARGIN, doc.y + 2, { ...DRAWN, width: WIDTH, height, preserveAspectRatio: 'xMinYMin meet' });
    doc.y += height + 4;
  }
}
/** Letters in drawings are ours too. */
const DRAWN = { assumePt: true, fontCallback: (_family: string, bold: boolean) => `${bold ? 'bold' : 'plain'} latin` };

type Style = { weight?: Weight; size?: number; color?: string; x?: number; width?: number; gap?: number };

function write(pen: Pen, report: Report): void {
  const { doc } = pen;
  const { player, academy, period, made, played, games, test, change, says, clubs, plan, next, words, tape, strokes, against } = report;
  pen.title(player, `${academy} · ${period}`);
  pen.text(`Next: ${next}`, { weight: 'bold', size: 11, gap: 4 });
  if (words) {
    pen.head('From the coach');
    for (const line of words.split('\n')) pen.text(line === '' ? ' ' : line);
  }
  pen.head('Where strokes go');
  for (const sentence of says) pen.text(sentence);
  writeShots(pen, 'Weakest', report.weakest, report);
  writeShots(pen, 'Strongest', report.strongest, report);
  pen.head('What changed');
  for (const sentence of change) pen.text(sentence);
  if (test) pen.text(`${test.title}, ${test.when}: ${test.last}, before that ${test.before.join(', ')}. ${test.says}`);
  if (tape) {
    const balls = tape.balls.map(({ from, to }) => ({ from, to: to ?? Infinity }));
    pen.draw(createElement(Tape, { label: tape.label, balls, medianM: tape.medianM, system: report.system, width: 520 }), 72);
    pen.text(tape.label, { size: 8, color: INK['ink-2'] });
  }
  pen.head('What was played');
  const balls = `${counted(played.balls, 'ball')} in ${counted(played.sessions, 'session')} on ${counted(played.days, 'day')}.`;
  pen.text(`${played.balls === 0 ? 'No balls in this period.' : balls} ${plan}`, { gap: 4 });
  const widths = [WIDTH - 270, 50, 110, 110];
  for (const { title, times, last, best } of games)
    pen.row([title, counted(times, 'time'), `last ${last}`, `best ${best}`].map((text, i) => ({ text, width: widths[i]! })));
  if (clubs.length > 0) {
    pen.head('Clubs');
    for (const line of clubs) pen.text(line);
  }
  doc.y += 6;
  pen.text(
    `Strokes ${strokes} in 18 holes against ${against}; the true figure is in the range 8 times in 10. ${FOLLOWING} The levels come from a simulation with judged constants. Made ${made}.`,
    { size: 7.5, color: INK['ink-2'] },
  );
}

function writeShots(pen: Pen, title: string, shots: readonly ReportShot[], { weakest, strongest, strokes }: Report): void {
  if (shots.length === 0) return;
  pen.text(title, { weight: 'bold', size: 9, gap: 2 });
  for (const one of shots)
    pen.row([
      { text: one.shot, width: WIDTH - 330 },
      { draw: createElement(ReportBars, { shot: one, all: [...weakest, ...strongest], as: strokes }), width: 150 },
      { text: sayStrokes(one.mean, strokes), width: 46, weight: 'bold' },
      { text: `${sayBetween([one.low, one.high], strokes)}, ${counted(one.balls, 'ball')}`, width: 134, color: INK['ink-2'] },
    ]);
}

/** A row for each player, and what several share. */
function writeSquad(pen: Pen, { academy, period, made, strokes, players, more, away, says, shared }: SquadReport): void {
  pen.title('The squad', `${academy} · ${period}`);
  if (says) pen.text(says, { weight: 'bold', size: 11, gap: 4 });
  for (const { shot, players: of } of shared.slice(1)) pen.text(`${shot}: ${of} of ${players.length} players.`);
  const all = players.flatMap(({ weakest }) => weakest ?? []);
  for (const { name, sessions, balls, test, weakest, change, next } of players) {
    pen.room(96);
    pen.head(name);
    pen.text(`${counted(balls, 'ball')} in ${counted(sessions, 'session')}${test ? `. ${test.title}: ${test.last}. ${test.says}` : '.'}`);
    if (weakest)
      pen.row([
        { text: weakest.shot, width: WIDTH - 330 },
        { draw: createElement(ReportBars, { shot: weakest, all, as: strokes }), width: 150 },
        { text: sayStrokes(weakest.mean, strokes), width: 46, weight: 'bold' },
        { text: `${sayBetween([weakest.low, weakest.high], strokes)}, ${counted(weakest.balls, 'ball')}`, width: 134, color: INK['ink-2'] },
      ]);
    pen.text(change);
    pen.text(`Next: ${next}`, { weight: 'bold' });
  }
  if (more > 0) pen.text(`${counted(more, 'more player')} recorded balls: see their own reports.`);
  if (away.length > 0) {
    pen.room(40);
    pen.head('No balls in this period');
    pen.text(listed([...away]));
  }
  pen.room(30);
  pen.doc.y += 6;
  pen.text(squadFoot({ strokes, made }), { size: 7.5, color: INK['ink-2'] });
}

/** A PDF as an answer. */
export function pdfResponse(pdf: Buffer): Response {
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'attachment; filename="report.pdf"', 'cache-control': 'no-store' },
  });
}
