// Loaded into a server that is measured: says, at a port of its own, how long its event loop was held up at most since
// it was asked last.
import http from 'node:http';
import { monitorEventLoopDelay } from 'node:perf_hooks';

const port = Number(process.env.LOOP_DELAY_PORT);
if (port && process.argv[1]?.endsWith('server.mjs')) {
  const delay = monitorEventLoopDelay({ resolution: 5 });
  delay.enable();
  http
    .createServer((_, response) => {
      response.end(JSON.stringify({ maxMs: delay.max / 1e6, rssMb: Math.round(process.memoryUsage().rss / 1e6) }));
      delay.reset();
    })
    .listen(port, '127.0.0.1')
    .unref();
}
