/** What was asked of the server of a test. */
export interface Sent {
  method: string;
  path: string;
  body: unknown;
}

/** What it answers: something that can be told as JSON, a refusal, or either of them by what was sent. */
type Answer = object | string | number | boolean | null | Refused | ((sent: Sent) => unknown);

class Refused {
  readonly status: number;
  readonly detail: string;
  readonly problems: readonly { pointer: string; message: string }[];

  constructor(status: number, detail: string, problems: readonly { pointer: string; message: string }[]) {
    this.status = status;
    this.detail = detail;
    this.problems = problems;
  }
}

let answers: Record<string, Answer> | undefined;
let log: Sent[] = [];

/**
 * From now on the server answers so, and has been asked nothing.
 *
 * @param routes by method and path, such as "GET /api/machines"
 * @returns what it is asked from then on, but for what is only read
 */
export function aServer(routes: Record<string, Answer>): () => Sent[] {
  answers = routes;
  log = [];
  return () => log.filter(({ method }) => method !== "GET");
}

/** From now on it says nothing to anything. */
export function noServer() {
  answers = undefined;
}

/** What the server refuses, in its own words. */
export const refused = (detail: string, problems: Refused["problems"] = [], status = 422) =>
  new Refused(status, detail, problems);

const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } });

/** What was sent: as JSON where it says that it is, a text otherwise. */
const bodyOf = (text: string, type: string): unknown =>
  text === "" ? undefined : type.includes("json") ? JSON.parse(text) : text;

/** In the place of the browser's way to the server. */
export async function served(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  const routes = answers;
  if (!routes) return new Promise(() => undefined);
  const request = new Request(input, init);
  const { pathname, search } = new URL(request.url);
  const text = await request.text();
  const sent: Sent = {
    method: request.method,
    path: pathname + search,
    body: bodyOf(text, request.headers.get("Content-Type") ?? ""),
  };
  log.push(sent);
  const route = [`${sent.method} ${sent.path}`, `${sent.method} ${pathname}`].find((one) => one in routes);
  if (route === undefined) return json(404, { detail: `Nothing answers ${sent.method} ${sent.path}.` });
  const answer = routes[route];
  const told: unknown = typeof answer === "function" ? answer(sent) : answer;
  return told instanceof Refused
    ? json(told.status, { detail: told.detail, problems: told.problems })
    : json(200, told ?? null);
}
