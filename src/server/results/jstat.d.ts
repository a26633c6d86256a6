// jStat has no types of its own: what is used of it.
declare module 'jstat' {
  const jStat: {
    readonly centralF: { readonly inv: (p: number, d1: number, d2: number) => number };
    readonly studentt: { readonly inv: (p: number, df: number) => number };
    readonly normal: { readonly inv: (p: number, mean: number, deviation: number) => number };
  };
  export default jStat;
}
