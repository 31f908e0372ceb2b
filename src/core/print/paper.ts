import type { Paper, PrintSetup } from '../model/print';
import type { Points, Room } from './boxes';

const MM: Points = 72 / 25.4;

/** Millimetres of a paper that stands upright. */
const MILLIMETRES: Readonly<Record<Paper, readonly [width: number, height: number]>> = {
  A4: [210, 297],
  A5: [148, 210],
  Letter: [215.9, 279.4],
};

/** Regions whose offices use Letter (CLDR, supplemental data: paperSize US-Letter); all others use A4. */
const LETTER_REGIONS = 'BZ CA CL CO CR GT MX NI PA PH PR SV US VE'.split(' ');

/** Returns the paper that is usual where a language tag (BCP 47) is from: "en-US" is Letter. */
export function usualPaper(tag: string): Paper {
  const { region } = new Intl.Locale(tag).maximize();
  return region !== undefined && LETTER_REGIONS.includes(region) ? 'Letter' : 'A4';
}

type Format = Pick<PrintSetup, 'paper' | 'isUpright'>;

/** Width and height of a page. */
export function paperSize({ paper, isUpright }: Format): { width: Points; height: Points } {
  const [short, long] = MILLIMETRES[paper];
  return isUpright
    ? { width: short * MM, height: long * MM }
    : { width: long * MM, height: short * MM };
}

/** The same in millimetres, as a style sheet says it: "297mm 210mm". */
export function paperRule({ paper, isUpright }: Format): string {
  const [short, long] = MILLIMETRES[paper];
  return isUpright ? `${short}mm ${long}mm` : `${long}mm ${short}mm`;
}

/** The room within the margins. */
export function withinMargins({ margin, ...format }: Format & { margin: number }): Room {
  const { width, height } = paperSize(format);
  const edge = margin * MM;
  return { x: edge, y: edge, width: width - 2 * edge, height: height - 2 * edge };
}
