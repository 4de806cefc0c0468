import { useActionData } from 'react-router';

interface Came {
  /** What is wrong with a field, by its name. */
  readonly errors?: Readonly<Record<string, string>>;
}

/** Says at a field what the last form that was sent had wrong there; else what helps to fill it. */
export function useWrong() {
  const errors = useActionData<Came>()?.errors ?? {};
  return (field: string, help?: string) => {
    const wrong = Object.hasOwn(errors, field) ? errors[field] : undefined;
    return { error: wrong !== undefined, helperText: wrong ?? help };
  };
}
