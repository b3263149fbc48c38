import { QueryClient } from "@tanstack/react-query";
import { describe, expect, it } from "vitest";
import type { RunView } from "./client";
import { takeRun } from "./runs";

const run = { id: "r1", state: "running", done: 100, own: true } as RunView;

function known(...runs: RunView[]) {
  const client = new QueryClient();
  client.setQueryData(["runs", "p"], runs);
  return client;
}

const list = (client: QueryClient) => client.getQueryData<RunView[]>(["runs", "p"]);

describe("what is known of a run", () => {
  it("follows what the server tells, and keeps whose it is", () => {
    const client = known(run);
    takeRun(client, "p", { ...run, done: 500, own: undefined });
    expect(list(client)?.[0]).toMatchObject({ done: 500, own: true });
    takeRun(client, "p", { ...run, state: "done", done: 900, own: undefined });
    expect(list(client)?.[0]).toMatchObject({ state: "done", own: true });
  });

  it("is not undone by an answer that is older than what was told since", () => {
    const client = known({ ...run, state: "done", done: 900 });
    takeRun(client, "p", run, false);
    expect(list(client)?.[0]).toMatchObject({ state: "done", done: 900 });
  });

  it("goes back to work where a run that was cut short is taken up again", () => {
    const client = known({ ...run, state: "stopped", done: 900 });
    takeRun(client, "p", { ...run, done: 0 });
    expect(list(client)?.[0]).toMatchObject({ state: "running" });
  });

  it("puts a new run first", () => {
    const client = known(run);
    takeRun(client, "p", { ...run, id: "r2" });
    expect(list(client)?.map((one) => one.id)).toEqual(["r2", "r1"]);
  });
});
