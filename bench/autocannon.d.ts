// The part of autocannon (which ships no types) that the benches use.
declare module 'autocannon' {
  interface Request {
    method?: string;
    path?: string;
    headers?: Record<string, string>;
    body?: string;
  }
  interface DynamicRequest {
    method?: string;
    setupRequest?: (request: Request) => Request;
    onResponse?: (status: number, body: string) => void;
  }
  interface Options {
    url: string;
    connections: number;
    duration: number;
    /** Called once a connection; requests set on it are its own, those of the options are shared by all. */
    setupClient?: (client: { setRequests(requests: DynamicRequest[]): void }) => void;
  }
  interface Result {
    requests: { average: number; total: number };
    duration: number;
    non2xx: number;
    errors: number;
  }
  export default function autocannon(options: Options): Promise<Result>;
}
