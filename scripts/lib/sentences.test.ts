import { sentencesIn } from './sentences';

const texts = (code: string, name = 'a.tsx') => sentencesIn(code, name).map(({ text }) => text);

test('what is read is found: text, attributes, strings, with what is filled in as …', () => {
  const code = `'use client';
    import { x } from './a sentence of no one';
    const refused = 'A goal can’t be negative.';
    const said = \`\${n} balls left\`;
    export const A = () => <p className="big words here" title="How far it was">Now putt them <b>out</b>{said}</p>;
    const query = sql\`select something from somewhere\`;
    type Kind = 'one word' | 'two words';
  `;
  expect(texts(code)).toEqual(['A goal can’t be negative.', '… balls left', 'How far it was', 'Now putt them', 'out']);
});

test('what is only for the machine is not', () => {
  expect(texts(`const a = ['./file.ts', 'btn btn-primary', 'ring_points', 'GET /api', 'stroke-width', 'x', 'mb-0 mt-2'];`)).toEqual([]);
  expect(texts(`const label = 'Undo'; const key = 'undo';`, 'a.ts')).toEqual(['Undo']);
});

test('each says its line', () => {
  expect(sentencesIn("\n\nconst a = 'Two words';", 'a.ts')).toEqual([{ line: 3, text: 'Two words' }]);
});
