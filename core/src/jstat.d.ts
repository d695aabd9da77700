/** The one function of this library that the tests hold ours against; it ships no types. */
declare module 'jstat' {
  const jstat: {
    /** Student’s t. */
    studentt: { inv(share: number, freedom: number): number };
  };
  export default jstat;
}
