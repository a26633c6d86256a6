import { build } from 'esbuild';

/** A module of these contents with all it imports, minified as a page would have it. */
export async function bundled(contents: string): Promise<string> {
  const { outputFiles } = await build({
    stdin: { contents, resolveDir: process.cwd() },
    bundle: true,
    minify: true,
    format: 'esm',
    target: 'es2022',
    define: { 'process.env.NODE_ENV': '"production"' },
    write: false,
  });
  return outputFiles[0]?.text ?? '';
}
