import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { tableId } from '../catalogue/identifiers';
import { applyAll } from '../operations/index';
import { wishInWords } from '../wishes/index';
import { alignments } from './align';

const port = sketch(`
  port.berth: berth_no text key, area text
  port.vessel: vessel_id key, imo_no text, berth_no text, tons
`);
const vessel = tableId('port', 'vessel');
const asked = (there: typeof port, here = port) => alignments(here, there).map(({ wish }) => wish && wishInWords(wish));

test('what is there and not here is asked for here, what is here alone is to go, names follow', () => {
  const there = applyAll(
    [
      { kind: 'addUnique', table: vessel, name: 'uq_vessel_imo', columns: ['imo_no'], index: null },
      { kind: 'renameColumn', table: vessel, from: 'tons', to: 'gross_tons' },
    ],
    port,
  );
  expect(asked(there)).toEqual(['the column tons is called gross_tons', 'imo_no never repeats']);
  expect(asked(port, there)).toEqual(['the column gross_tons is called tons', 'uq_vessel_imo goes']);
  const refers = sketch(`
    port.berth: berth_no text key, area text
    port.vessel: vessel_id key, imo_no text, berth_no text -> port.berth.berth_no, tons
  `);
  expect(asked(refers)).toEqual(['berth_no refers to port.berth(berth_no)']);
});

test('what there is no remedy for says so by asking for nothing', () => {
  const there = sketch('port.berth: berth_no text key, area text');
  expect(alignments(port, there)).toMatchObject([{ difference: { kind: 'table', change: 'gone' }, wish: null, why: null }]);
});
