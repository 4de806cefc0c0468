import { useEffect, useRef } from 'react';
import { listAs, type ListForm, listTypes } from '~/core/formats/lists';
import type { Columns } from './columns';
import { SaveMenu } from './SaveMenu';
import type { WholeField } from './whole';

interface SaveWholeProps<Row> {
  readonly name: string;
  readonly rows: readonly Row[];
  readonly fields: readonly WholeField<Row>[];
  readonly columns: Columns;
}

/** Saves a list that the browser has whole: the rows and the columns that it shows. */
export function SaveWhole<Row>({ name, rows, fields, columns: { shown } }: SaveWholeProps<Row>) {
  const made = useRef<string[]>([]);
  useEffect(() => () => made.current.splice(0).forEach((address) => URL.revokeObjectURL(address)), []);
  const address = (as: ListForm): string => {
    const columns = shown.flatMap((name) => fields.find((field) => field.name === name) ?? []);
    const lines = rows.map((row) => Object.fromEntries(columns.map((field) => [field.name, field.of(row)])));
    const url = URL.createObjectURL(new Blob([listAs(as, shown, lines)], { type: listTypes[as] }));
    made.current.push(url);
    return url;
  };
  return <SaveMenu name={name} address={address} />;
}
