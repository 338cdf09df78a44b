import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';

/** Paper to print on. */
export const PAPERS = [
  { id: 'a4', name: 'A4', widthMm: 210, heightMm: 297, css: 'A4' },
  { id: 'letter', name: 'Letter', widthMm: 215.9, heightMm: 279.4, css: 'letter' },
] as const;

/** A paper's id. */
export type PaperId = (typeof PAPERS)[number]['id'];

/** Labels by size; a page of plain sticky paper is cut along the marks. @source our own sizes, for the bottles of the catalogue */
export const LABEL_KINDS = [
  { id: 'band', name: 'a band around it', widthMm: 190, heightMm: 45 },
  { id: 'front', name: 'a front label', widthMm: 90, heightMm: 65 },
  { id: 'back', name: 'a back label', widthMm: 70, heightMm: 50 },
  { id: 'tag', name: 'a tag on a string', widthMm: 45, heightMm: 90 },
  { id: 'tape', name: 'a strip of tape', widthMm: 90, heightMm: 24 },
] as const;

/** A label's kind. */
export type LabelKindId = (typeof LABEL_KINDS)[number]['id'];

/** Least margin that printers leave white, mm. @source usual desk printers: 5 to 6 */
export const MARGIN_MM = 8;
/** Room to cut between two labels, mm. */
export const GAP_MM = 2;
/** One label's place: the page, counted from 0, and its upper left corner. */
export interface LabelPlace {
  readonly page: number;
  readonly xMm: number;
  readonly yMm: number;
}

/** How labels lie on their sheets. */
export interface LabelSheet {
  readonly columns: number;
  readonly rows: number;
  readonly pages: number;
  readonly places: readonly LabelPlace[];
}

const fitting = (roomMm: number, eachMm: number): number => Math.max(1, Math.floor((roomMm - 2 * MARGIN_MM + GAP_MM) / (eachMm + GAP_MM)));

/**
 * Where each label lies on its sheet, the block in the middle of the paper.
 *
 * @param asked - the paper, the label, how many, 1–200, and the place on the first sheet to begin with, counted from 1
 * @returns places from left to right and down, page by page
 * @throws {CoreError} OUT_OF_RANGE for a count or a first place that is not on the sheet
 * @source geometry; margins are those of usual desk printers
 */
export function labelSheet(asked: { readonly paper: PaperId; readonly kind: LabelKindId; readonly count: number; readonly from?: number }): LabelSheet {
  const paper = PAPERS.find((p) => p.id === asked.paper) ?? PAPERS[0];
  const label = LABEL_KINDS.find((k) => k.id === asked.kind) ?? LABEL_KINDS[0];
  const [columns, rows] = [fitting(paper.widthMm, label.widthMm), fitting(paper.heightMm, label.heightMm)];
  const perPage = columns * rows;
  const count = inRange('count', Math.round(asked.count), LIMITS.labels);
  const skipped = inRange('from', Math.round(asked.from ?? 1), { min: 1, max: perPage }) - 1;
  const leftMm = (paper.widthMm - (columns * label.widthMm + (columns - 1) * GAP_MM)) / 2;
  const topMm = (paper.heightMm - (rows * label.heightMm + (rows - 1) * GAP_MM)) / 2;
  const places = Array.from({ length: count }, (_, i) => {
    const [page, at] = [Math.floor((i + skipped) / perPage), (i + skipped) % perPage];
    return { page, xMm: leftMm + (at % columns) * (label.widthMm + GAP_MM), yMm: topMm + Math.floor(at / columns) * (label.heightMm + GAP_MM) };
  });
  return { columns, rows, pages: Math.ceil((count + skipped) / perPage), places };
}
