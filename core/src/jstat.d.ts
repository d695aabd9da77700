/** The one function of this library that the tests hold ours against; it ships no types. */
declare module 'jstat' {
  const jstat: {
    /** Student’s t. */
    studentt: {
      /** Its quantile. */
      inv(share: number, freedom: number): number;
    };
  };
  /** All of it. */
  export default jstat;
}
