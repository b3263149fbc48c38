import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { aPlan } from "../../test/aPlan";
import { aServer, refused } from "../../test/aServer";
import { anEdit } from "../../test/anEdit";
import { user } from "../../test/hands";
import { shownStage } from "../../test/shown";
import { NoteBar } from "../ui/NoteBar";
import { FirstStep } from "./FirstStep";

const NOTHING = { ...aPlan(), activities: [], predecessors: {}, costs: [] };

describe("the first step of a plan in which nothing is planned", () => {
  it("adds the first activity beneath the branch that is there, and leads to the plan", async () => {
    const sent = aServer({
      [`PATCH /api/projects/${NOTHING.project.id}/rows`]: anEdit({ order: ["A10"] }),
    });
    shownStage(
      NOTHING,
      <>
        <FirstStep plan={NOTHING} below={1} />
        <NoteBar />
      </>,
    );
    await user.click(screen.getByRole("button", { name: "Type the first activity" }));
    expect(await screen.findByTestId("address")).toHaveTextContent(`/projects/${NOTHING.project.id}/plan`);
    expect(sent()[0]?.body).toEqual([{ id: "", add: true, after: NOTHING.branches.at(-1)?.id }]);
  });

  it("says why where that is refused, and leads to a file and to the examples", async () => {
    aServer({
      [`PATCH /api/projects/${NOTHING.project.id}/rows`]: refused("You may not edit this project.", [], 403),
    });
    shownStage(
      NOTHING,
      <>
        <FirstStep plan={NOTHING} below={1} />
        <NoteBar />
      </>,
    );
    expect(screen.getByRole("link", { name: "Take a schedule in from a file" })).toHaveAttribute(
      "href",
      `/projects/${NOTHING.project.id}/update`,
    );
    expect(screen.getByRole("link", { name: "your projects" })).toHaveAttribute("href", "/projects");
    await user.click(screen.getByRole("button", { name: "Type the first activity" }));
    expect(await screen.findByText(/You may not edit this project/)).toBeInTheDocument();
  });
});
