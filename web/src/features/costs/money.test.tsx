import { screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { PlanView } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { anEdit } from "../../test/anEdit";
import { aPlan } from "../../test/aPlan";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { EscalationDialog } from "./EscalationDialog";
import { FundingList } from "./FundingList";
import { button, enter, field, user } from "../../test/hands";

describe("steps of funding", () => {
  const FUNDING = "PUT /api/projects/p/funding";
  const GRANT = { date: "2027-03-01", amount: 500_000, name: "grant" };
  const funded = (funding: PlanView["funding"], answer: object = anEdit()) => {
    const sent = aServer({ [FUNDING]: answer });
    shown(<FundingList plan={{ ...aPlan(), funding }} />);
    return sent;
  };

  it("are added by a day and an amount as people write them", async () => {
    const sent = funded([GRANT]);
    enter("Date of the step", "1 Mar 2028");
    enter("Amount of the step", "900k");
    enter("Where it comes from", "loan");
    await user.type(field("Where it comes from"), "{Enter}");
    await expect.poll(() => (field("Amount of the step") as HTMLInputElement).value).toBe("");
    expect(sent()[0]?.body).toEqual([
      { date: "2027-03-01", amount: "500000", name: "grant" },
      { date: "2028-03-01", amount: "900k", name: "loan" },
    ]);
  });

  it("need a day, and stay typed where they are refused", async () => {
    const sent = funded([], refused("an amount is needed, such as 900k, not “lots”"));
    expect(screen.getByText(/When can how much be spent/)).toBeInTheDocument();
    enter("Date of the step", "in spring");
    await user.click(button("Add"));
    expect(screen.getByText("A date is needed, such as 1 Mar 2027, not “in spring”.")).toBeInTheDocument();
    expect(sent()).toEqual([]);
    enter("Date of the step", "1 Mar 2028");
    enter("Amount of the step", "lots");
    await user.click(button("Add"));
    expect(await screen.findByText("An amount is needed, such as 900k, not “lots”.")).toBeInTheDocument();
    expect(field("Amount of the step")).toHaveValue("lots");
  });

  it("are taken out", async () => {
    const sent = funded([GRANT, { ...GRANT, date: "2028-03-01" }]);
    await user.click(button(`Take out the step of ${formatDay("2027-03-01")}`));
    await expect.poll(() => sent().length).toBe(1);
    expect(sent()[0]?.body).toEqual([{ date: "2028-03-01", amount: "500000", name: "grant" }]);
  });
});

describe("how prices rise", () => {
  const RATES = "PUT /api/projects/p/escalation";
  const rising = (escalation: PlanView["escalation"], answer: object = anEdit()) => {
    const closed = vi.fn();
    const sent = aServer({ [RATES]: answer });
    shown(<EscalationDialog plan={{ ...aPlan(), escalation }} onClose={closed} />);
    return { sent, closed };
  };

  it("is certain or uncertain, for all money or a category", async () => {
    const { sent, closed } = rising([]);
    enter("Percent a year 1", "4");
    await user.click(button("Another category"));
    enter("Category 2", "Civil");
    enter("Percent a year 2", "2..4..7");
    await user.click(button("Another category"));
    await user.click(button("Keep it"));
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(sent()[0]?.body).toEqual([
      { category: "", perYear: 0.04 },
      { category: "Civil", perYear: { shape: "triangular", low: 0.02, likely: 0.04, high: 0.07 } },
    ]);
  });

  it("is no rate that does not rise, nor a word, and nothing is sent", async () => {
    const { sent, closed } = rising([]);
    enter("Percent a year 1", "7..2");
    await user.click(button("Keep it"));
    expect(screen.getByText(/“7..2” of all prices does not rise/)).toBeInTheDocument();
    enter("Percent a year 1", "a lot");
    await user.click(button("Keep it"));
    expect(screen.getByText(/“a lot” is no yearly rate of all prices/)).toBeInTheDocument();
    expect(sent()).toEqual([]);
    expect(closed).not.toHaveBeenCalled();
  });

  it("is taken out, and stays where the server refuses that", async () => {
    const { sent, closed } = rising(
      [
        { category: "Civil", perYear: 0.03 },
        { category: "Steel", perYear: 0.05 },
      ] as PlanView["escalation"],
      refused("somebody else has changed the rates"),
    );
    expect(field("Percent a year 2")).toHaveValue("5");
    await user.click(button("Take out rate 1"));
    expect(field("Category 1")).toHaveValue("Steel");
    await user.click(button("Keep it"));
    expect(await screen.findByText("Somebody else has changed the rates.")).toBeInTheDocument();
    expect(sent()[0]?.body).toEqual([{ category: "Steel", perYear: 0.05 }]);
    expect(closed).not.toHaveBeenCalled();
  });
});
