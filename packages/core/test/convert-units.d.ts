/** The part of the conversion library that the tests use; it ships no types of its own. */
declare module 'convert-units' {
  interface From {
    from(unit: string): { to(unit: string): number };
  }
  export default function convert(value: number): From;
}
