// jStat has no types of its own: what is used of it.
declare module 'jstat' {
  const jStat: { readonly centralF: { readonly inv: (p: number, d1: number, d2: number) => number } };
  export default jStat;
}
