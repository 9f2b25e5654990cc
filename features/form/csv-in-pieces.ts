/** A table that is read and sent piece by piece, however long it is. @param piece from a place on; null: from the beginning */
export function csvInPieces<Place>(
  name: string,
  piece: (after: Place | null, first: boolean) => Promise<{ text: string; next: Place | null }>,
): Response {
  const encoder = new TextEncoder();
  let [after, first]: [Place | null, boolean] = [null, true];
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { text, next } = await piece(after, first);
      controller.enqueue(encoder.encode(text));
      [after, first] = [next, false];
      if (after === null) controller.close();
    },
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
}
