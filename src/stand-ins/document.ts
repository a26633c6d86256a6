/** A text as HTML has it. */
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

const STYLE = `*{box-sizing:border-box}body{margin:0;font:16px/1.5 system-ui,sans-serif;color:#1d2330;background:#f4f5f9}
header{background:#2b3550;color:#fff;padding:14px 24px}header p{margin:0}main{max-width:1080px;margin:0 auto;padding:16px 24px 60px}
h1{font-size:22px;margin:0}h2{font-size:18px;margin:28px 0 8px}table{border-collapse:collapse;width:100%;background:#fff}
th,td{text-align:start;padding:8px 12px;border:1px solid #c8cddb}a{color:#1c4fa0}
button,.go{display:inline-block;min-height:36px;padding:5px 14px;border:1px solid #2b3550;border-radius:4px;background:#fff;color:#1d2330;font:inherit;cursor:pointer;text-decoration:none}
form{display:inline}.down{background:#fde8e4;border:1px solid #a3361f;padding:8px 12px}.scroll{overflow-x:auto}iframe{width:100%;height:640px;border:1px solid #2b3550;background:#fff}
small{color:#525a6b}td{max-width:26rem;overflow-wrap:anywhere}`;

/** A page of a stand-in. `body`: HTML. */
export const documentOf = (title: string, body: string): string =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escaped(title)}</title><link rel="icon" href="data:,"><style>${STYLE}</style></head><body>${body}</body></html>`;
