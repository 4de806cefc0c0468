// What a column's name says about the part it plays. Words are those of the trade and of English
// schema makers; each list is a hint among others, never a proof.

import type { Column } from '../catalogue/model';
import { wordsOf } from './words';

const identifying = new Set([
  'id',
  'no',
  'nr',
  'num',
  'number',
  'code',
  'key',
  'ref',
  'reference',
  'uuid',
  'guid',
  'serial',
  'sign',
  'ident',
  'identifier',
  'slug',
  'login',
  'username',
  'email',
  'sku',
  'isbn',
  'iban',
  'imo',
  'mmsi',
  'barcode',
]);
const ordinal = new Set(['seq', 'sequence', 'line', 'position', 'pos', 'ordinal', 'item', 'step', 'index', 'idx', 'rank', 'leg']);
const measuring = new Set([
  'amount',
  'price',
  'rate',
  'weight',
  'tonnage',
  'mass',
  'length',
  'width',
  'height',
  'depth',
  'draught',
  'beam',
  'value',
  'total',
  'sum',
  'balance',
  'quantity',
  'qty',
  'count',
  'level',
  'speed',
  'temperature',
  'pressure',
  'percent',
  'ratio',
  'latitude',
  'longitude',
  'lat',
  'lon',
  'duration',
  'capacity',
  'volume',
  'power',
  'age',
  'score',
  'size',
  'year',
  'month',
  'day',
  'hour',
  'minute',
  'second',
  'max',
  'sort',
  'min',
  'maximum',
  'minimum',
  'limit',
  'quota',
  'timeout',
  'interval',
  'retry',
  'retries',
  'attempt',
  'percentage',
  'hits',
  'bytes',
  'elements',
]);
const describing = new Set([
  'remark',
  'note',
  'comment',
  'description',
  'text',
  'body',
  'detail',
  'memo',
  'title',
  'label',
  'message',
  'address',
  'street',
  'city',
  'phone',
  'postal',
  'postcode',
  'zip',
  'fax',
  'content',
  'summary',
  'reason',
]);
const optional = new Set([
  'remark',
  'note',
  'comment',
  'description',
  'memo',
  'fax',
  'middle',
  'suffix',
  'until',
  'ended',
  'end',
  'closed',
  'cancelled',
  'canceled',
  'deleted',
  'departed',
  'left',
  'finished',
  'completed',
  'released',
  'withdrawn',
  'expires',
  'expired',
  'previous',
  'parent',
  'replaced',
  'superseded',
  'supersedes',
  'alternate',
  'alternative',
  'secondary',
  'extra',
  'optional',
  'approved',
  'reviewed',
  'paid',
  'sent',
  'former',
  'old',
  'second',
]);
const mandatory = new Set([
  'name',
  'code',
  'no',
  'number',
  'id',
  'status',
  'state',
  'kind',
  'type',
  'created',
  'recorded',
  'booked',
  'opened',
  'started',
  'start',
  'from',
  'date',
  'at',
  'on',
  'amount',
  'quantity',
  'currency',
  'unit',
  'active',
  'enabled',
  'sign',
  'key',
  'ref',
  'level',
  'weight',
  'total',
]);

/** Ends in a word for an identifier: `booking_no`, `call_sign`, `code`. */
export function namesAnIdentifier(column: string): boolean {
  return identifying.has(wordsOf(column).at(-1) ?? '');
}

/** Numbers things within a group: `line_no`, `seq`, `position`. */
export function namesAnOrdinal(column: string): boolean {
  const words = wordsOf(column);
  return words.some((word) => ordinal.has(word)) && !words.some((word) => describing.has(word));
}

export function namesAMeasure(column: string): boolean {
  return wordsOf(column).some((word) => measuring.has(word));
}

export function namesADescription(column: string): boolean {
  return wordsOf(column).some((word) => describing.has(word));
}

export function namesSomethingOptional(column: string): boolean {
  return wordsOf(column).some((word) => optional.has(word));
}

export function namesSomethingMandatory(column: string): boolean {
  const words = wordsOf(column);
  // Who did it is known as surely as that it was done.
  const last = (words.at(-1) === 'by' ? words.at(-2) : words.at(-1)) ?? '';
  return mandatory.has(last) && !namesSomethingOptional(column);
}

/** Types whose values can identify a row. */
export function canIdentify(column: Column): boolean {
  if (column.generated !== null || !column.comparable) return false;
  if (column.family === 'decimal') return (column.scale ?? 1) === 0;
  return ['integer', 'text', 'uuid', 'date', 'timestamp', 'binary', 'other'].includes(column.family);
}

const money = new Set(
  'amount price cost deposit fee due total balance salary wage tax vat discount payment charge tariff revenue budget credit debit invoice net gross paid'.split(
    ' ',
  ),
);

export function speaksOfMoney(column: string): boolean {
  return wordsOf(column).some((word) => money.has(word));
}
