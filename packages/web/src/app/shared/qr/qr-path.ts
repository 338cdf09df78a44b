import qrcode from 'qrcode-generator';

/** A code to be drawn: its squares as one path, in a box of so many squares. */
export interface QrPath {
  readonly size: number;
  readonly path: string;
}

/**
 * A text as a square code, to be drawn at any size.
 *
 * @param text - such as an address
 * @returns one path of unit squares, without the white margin that readers want around it
 */
export function qrPath(text: string): QrPath {
  const code = qrcode(0, 'M');
  code.addData(text);
  code.make();
  const size = code.getModuleCount();
  const squares = Array.from({ length: size * size }, (_, i) => [Math.floor(i / size), i % size] as const);
  return { size, path: squares.flatMap(([row, column]) => (code.isDark(row, column) ? `M${column},${row}h1v1h-1z` : [])).join('') };
}
