// The package that the driver reads password files with; it comes without types.
declare module 'pgpass' {
  interface Wanted {
    readonly host: string;
    readonly port: number;
    readonly database: string;
    readonly user: string;
  }
  /** Calls back with the password that a file has for it, or undefined. */
  export default function pgpass(wanted: Wanted, found: (password: string | undefined) => void): void;
}
