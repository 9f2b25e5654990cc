import * as z from 'zod';
import { writeReferenceTable } from '@/core/formats/reference-table';
import { requireCoach } from '@/server/actor';
import { ownPar } from '@/server/known/yardsticks';

const SHOWN_LEVEL = 10;
const levelSchema = z.coerce.number().min(-10).max(54);

/** The coach's own table as a file; with a level, or where there is none, that level's. */
export async function answerReferenceFile(slug: string, asked: string | null): Promise<Response> {
  const { data, model } = await requireCoach(slug);
  const own = asked === null ? await data.ownReference() : null;
  const level = levelSchema.catch(SHOWN_LEVEL).parse(asked ?? SHOWN_LEVEL);
  const name = own ? 'own-reference' : `level-${level}`;
  return new Response(writeReferenceTable(model.cells, ownPar(model, own?.expected ?? {}, level)), {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${name}.csv"` },
  });
}
