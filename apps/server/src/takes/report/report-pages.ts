import PDFDocument from 'pdfkit';
import { runsOf, TYPEFACES, type Weight } from './type.js';

const TONES = { ink: '#16211f', haze: '#5a6a66', good: '#1c6849', rule: '#c8cec8' } as const;
const MARGIN = 48;
/** Minimum room below a heading or the head of a take; with less it goes to the next page. */
const HEADING_ROOM = 80;
const HEAD_ROOM = 40;

/** Style of a line. */
interface Manner {
  readonly size?: number;
  readonly weight?: Weight;
  readonly tone?: keyof typeof TONES;
  readonly indent?: number;
  /** Space above it */
  readonly gap?: number;
  /** Must not be the last line of a page */
  readonly isHead?: boolean;
}

/** Lines of text on A4 pages, with a suitable typeface for each letter. */
export class ReportPages {
  private readonly document: PDFKit.PDFDocument;
  private readonly parts: Buffer[] = [];
  private readonly done: Promise<Buffer>;

  constructor(title: string, madeAt: Date) {
    const info = { Title: title, CreationDate: madeAt };
    const document = new PDFDocument({ size: 'A4', margin: MARGIN, info, bufferPages: true });
    document.on('data', (part: Buffer) => this.parts.push(part));
    this.done = new Promise((finish) => document.on('end', () => finish(Buffer.concat(this.parts))));
    for (const { weight, subset, file } of TYPEFACES) document.registerFont(`${weight} ${subset}`, file);
    this.document = document;
  }

  say(text: string, { size = 10, weight = 'plain', tone = 'ink', indent = 0, gap = 2, isHead = false }: Manner = {}): void {
    const { document } = this;
    const runs = runsOf(text);
    if (isHead) this.makeRoom(HEAD_ROOM);
    document.y += gap;
    document.fillColor(TONES[tone]).fontSize(size);
    for (const [index, run] of runs.entries()) {
      document.font(`${weight} ${run.subset}`);
      const options = { continued: index < runs.length - 1, width: document.page.width - 2 * MARGIN - indent };
      if (index === 0) document.text(run.text, MARGIN + indent, document.y, options);
      else document.text(run.text, options);
    }
  }

  rule(): void {
    const { document } = this;
    document.y += 14;
    this.makeRoom(HEADING_ROOM);
    const { y } = document;
    document
      .moveTo(MARGIN, y)
      .lineTo(document.page.width - MARGIN, y)
      .strokeColor(TONES.rule)
      .stroke();
    document.y += 8;
  }

  private makeRoom(room: number): void {
    const { document } = this;
    if (document.y > document.page.height - MARGIN - room) document.addPage();
  }

  /** Numbers the pages and returns the file. */
  finish(title: string): Promise<Buffer> {
    const { document } = this;
    const { count } = document.bufferedPageRange();
    for (let page = 0; page < count; page++) {
      document.switchToPage(page);
      // text below the margin would start a new page
      document.page.margins.bottom = 0;
      document.y = document.page.height - 36;
      this.say(`${title}    page ${page + 1} of ${count}`, { size: 8, tone: 'haze' });
    }
    document.end();
    return this.done;
  }
}
