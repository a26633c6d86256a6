// The part of autocannon (which ships no types) that the benches use.
declare module 'autocannon' {
  interface Request {
    method?: string;
    path?: string;
    headers?: Record<string, string>;
    body?: string;
  }
  interface Options<Context> {
    url: string;
    connections: number;
    duration: number;
    requests?: {
      method?: string;
      setupRequest?: (request: Request, context: Context) => Request;
      onResponse?: (status: number, body: string, context: Context) => void;
    }[];
  }
  interface Result {
    requests: { average: number; total: number };
    duration: number;
    non2xx: number;
    errors: number;
  }
  export default function autocannon<Context = object>(options: Options<Context>): Promise<Result>;
}
