/** The part of an address that asks for all rows of a long list. */
export const ALL = 'all';
/** Of a list that is longer than a page the first rows stand on it, and the others come when somebody asks. */
const WHOLE = 50;
const FIRST = 25;

/** The rows of a list that stand on the page. @param all whether all were asked for */
export function firstOf<Row>(rows: readonly Row[], all: boolean): Row[] {
  return rows.slice(0, all || rows.length <= WHOLE ? rows.length : FIRST);
}
