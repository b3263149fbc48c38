import { fireEvent, screen } from "@testing-library/react";
import { useState } from "react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { CalendarWords, PlanView } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { useGridStore } from "../../shared/grid/gridStore";
import { anEdit } from "../../test/anEdit";
import { aPlan } from "../../test/aPlan";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { CalendarsDialog } from "./CalendarsDialog";
import { plainCalendar } from "./calendarWords";
import { SettingsPanel } from "./SettingsPanel";
import { field, handIn, user } from "../../test/hands";

const STD = plainCalendar("std", "Five days");
const PLAN: PlanView = {
  ...aPlan(),
  project: { ...aPlan().project, calendar: "std", lagCalendar: "predecessor" },
  calendars: [
    { id: "std", name: "Five days" },
    { id: "six", name: "Six days" },
  ] as PlanView["calendars"],
  activities: aPlan().activities.map((one) => ({ ...one, calendar: "std" })),
};

describe("what is true of a project", () => {
  const SETTINGS = "PATCH /api/projects/p/settings";
  const settings = (answer: object = anEdit()) => {
    const sent = aServer({ [SETTINGS]: answer });
    shown(<SettingsPanel plan={PLAN} onClose={vi.fn()} />);
    return sent;
  };

  it("is handed in field by field, in what people write", async () => {
    const sent = settings();
    await handIn("Name", "Ridge");
    await handIn("Target finish", "2028-06-01");
    await handIn("Budget", "1.5m");
    await handIn("Confidence, %", "P85");
    await user.selectOptions(field("Calendar"), "Six days");
    await user.selectOptions(field("Lags run"), "round the clock");
    await expect.poll(() => sent().length).toBe(6);
    expect(sent().map(({ body }) => body)).toEqual([
      { name: "Ridge" },
      { targetFinish: "2028-06-01" },
      { targetCost: 1_500_000 },
      { confidence: 85 },
      { calendar: "six" },
      { lagCalendar: "elapsed" },
    ]);
  });

  it("is not handed in where it makes no sense, and says why", async () => {
    const sent = settings();
    for (const [name, text, why] of [
      ["First day", "", "The project needs its first day."],
      ["Data date", "soon", /soon/],
      ["Budget", "much", /An amount is needed, such as .*, not “much”/],
      ["Confidence, %", "80.5", "The level is a whole number of percent from 1 to 99, not “80.5”."],
      ["Confidence, %", "100", "The level is a whole number of percent from 1 to 99, not “100”."],
    ] as const) {
      await handIn(name, text);
      expect(field(name)).toHaveAttribute("aria-invalid", "true");
      expect(field(name).closest("div")?.parentElement?.parentElement).toHaveTextContent(why);
      await user.type(field(name), "{Escape}");
      expect(field(name)).not.toHaveAttribute("aria-invalid");
    }
    expect(sent()).toEqual([]);
  });

  it("gives a target and a budget up where the field is emptied", async () => {
    const sent = aServer({ [SETTINGS]: anEdit() });
    const aimed = { ...PLAN.project, targetFinish: "2028-06-01T17:00:00", targetCost: 90_000 };
    shown(<SettingsPanel plan={{ ...PLAN, project: aimed }} onClose={vi.fn()} />);
    expect(field("Target finish")).toHaveValue(formatDay("2028-06-01"));
    await handIn("Target finish", "");
    await handIn("Budget", "");
    await expect
      .poll(() => sent().map(({ body }) => body))
      .toEqual([{ targetFinish: null }, { targetCost: null }]);
  });

  it("says in its field why the server keeps what was", async () => {
    settings(refused("the currency is not one of three letters"));
    await handIn("Currency", "money");
    expect(await screen.findByText(/The currency is not one of three letters/)).toBeInTheDocument();
    expect(field("Currency")).toHaveValue("money");
  });
});

describe("working calendars", () => {
  const CALENDARS = "/api/projects/p/calendars";
  const LATER = { [`POST ${CALENDARS}/look`]: { finish: "2028-03-15T17:00:00" } };
  const Dialog = () => {
    const [revision, setRevision] = useState(1);
    return (
      <>
        <button onClick={() => setRevision(2)}>The plan is edited</button>
        <CalendarsDialog plan={{ ...PLAN, project: { ...PLAN.project, revision } }} onClose={vi.fn()} />
      </>
    );
  };
  const calendars = (more: object, kept: CalendarWords[] | (() => CalendarWords[]) = [STD]) => {
    const sent = aServer({ [`GET ${CALENDARS}`]: kept, ...LATER, ...more });
    shown(<Dialog />);
    return sent;
  };
  const look = () => screen.getByTestId("calendar-look");
  /** Roles would be asked of each day of the year. */
  const day = (iso: string) => document.querySelector(`[data-day="${iso}"]`) as HTMLElement;
  const press = (text: string) => user.click(screen.getByText(text, { selector: "button" }));
  const changes = (sent: () => { path: string }[]) => sent().filter(({ path }) => !path.endsWith("/look"));

  beforeEach(() => useGridStore.setState({ views: {} }));

  it("say what a change would do before it is kept", async () => {
    const sent = calendars({ [`PUT ${CALENDARS}`]: anEdit() });
    await screen.findByLabelText("Monday");
    expect(look()).toHaveTextContent(`The plan finishes on ${formatDay("2028-03-01")}.`);
    expect(screen.getByText("Keep", { selector: "button" })).toBeDisabled();
    await handIn("Saturday", "8-12, 13-16:30");
    await expect
      .poll(() => look().textContent)
      .toBe(`The plan would finish on ${formatDay("2028-03-15")} instead of ${formatDay("2028-03-01")}.`);
    expect(field("Saturday")).toHaveValue("08:00–12:00, 13:00–16:30");
    await press("Keep");
    await expect.poll(() => changes(sent).length).toBe(1);
    expect(changes(sent)[0]).toMatchObject({
      body: {
        id: "std",
        week: {
          sat: [
            ["08:00", "12:00"],
            ["13:00", "16:30"],
          ],
          sun: [],
        },
      },
    });
  });

  it("refuse hours that are none, in their field", async () => {
    const sent = calendars({});
    await screen.findByLabelText("Monday");
    await handIn("Monday", "all day");
    expect(
      screen.getByText(/Hours are needed, such as 8-12, 13-17, or nothing, not “all day”/),
    ).toBeInTheDocument();
    await handIn("Hours in a day", "25");
    expect(screen.getByText(/A number of hours up to 24 is needed, not “25”/)).toBeInTheDocument();
    expect(sent()).toEqual([]);
  });

  it("are closed by two clicks on days, and taken back", async () => {
    calendars({});
    await screen.findByLabelText("Monday");
    await user.click(day("2027-12-31"));
    expect(
      screen.getByText(`From ${formatDay("2027-12-31")}: now the last day that is closed.`),
    ).toBeInTheDocument();
    await user.click(day("2027-12-27"));
    expect(day("2027-12-29")).toHaveAttribute("data-state", "closed");
    expect(day("2027-12-29")).toHaveAccessibleName(`${formatDay("2027-12-29")}: Closed`);
    expect(day("2027-12-24")).toHaveAttribute("data-state", "work");
    await press("Take back");
    expect(day("2027-12-29")).toHaveAttribute("data-state", "work");
  });

  it("go from day to day by arrows", async () => {
    calendars({});
    await screen.findByLabelText("Monday");
    fireEvent.keyDown(day("2027-01-01"), { key: "ArrowDown" });
    expect(document.activeElement).toHaveAttribute("data-day", "2027-01-08");
    fireEvent.keyDown(document.activeElement as Element, { key: "ArrowLeft" });
    expect(document.activeElement).toHaveAttribute("data-day", "2027-01-07");
  });

  it("take holidays out of a file, or say why it has none", async () => {
    let holidays: object = refused("this is no iCalendar file");
    calendars({ [`POST ${CALENDARS}/holidays`]: () => holidays });
    const file = new File(["BEGIN:VCALENDAR"], "days.ics", { type: "text/calendar" });
    await user.upload(await screen.findByLabelText("iCalendar file of holidays"), file);
    await expect.poll(() => look().textContent).toBe("This is no iCalendar file.");
    holidays = [{ from: "2027-05-01", to: "2027-05-01", name: "Spring day", shifts: [] }];
    await user.upload(field("iCalendar file of holidays"), file);
    await expect
      .poll(() => day("2027-05-01").getAttribute("aria-label"))
      .toBe(`${formatDay("2027-05-01")}: Spring day`);
  });

  it("that are new stand once in the list when they are kept, or are gone when they are not", async () => {
    let kept = [STD];
    calendars(
      {
        [`PUT ${CALENDARS}`]: ({ body }: { body: unknown }) => {
          kept = [STD, body as CalendarWords];
          return anEdit();
        },
      },
      () => kept,
    );
    await screen.findByLabelText("Monday");
    const listed = () => [...document.querySelectorAll("button[aria-pressed=true]:not([data-day])")];
    await press("New calendar");
    expect(listed().map((one) => one.textContent)).toEqual(["New calendar0 activities"]);
    await press("Take back");
    expect(listed().map((one) => one.textContent)).toEqual(["Five daysthe project's, 2 activities"]);
    await press("New calendar");
    await handIn("Name", "Nights");
    await press("Keep");
    await expect.poll(() => kept.length).toBe(2);
    fireEvent.click(screen.getByText("The plan is edited"));
    expect(await screen.findByText("Remove", { selector: "button" })).toBeInTheDocument();
    expect(screen.getAllByText("Nights")).toHaveLength(1);
    expect(listed().map((one) => one.textContent)).toEqual(["Nights0 activities"]);
  });

  it("that nothing has are removed, unless that is refused", async () => {
    const SIX = { ...STD, id: "six", name: "Six days" };
    const sent = calendars({ [`DELETE ${CALENDARS}/six`]: refused("a risk counts by it") }, [STD, SIX]);
    await screen.findByLabelText("Monday");
    expect(screen.queryByText("Remove")).toBeNull();
    await press("Six days");
    await press("Remove");
    await expect.poll(() => look().textContent).toBe("A risk counts by it.");
    expect(screen.getByText("Six days", { selector: "button" })).toBeInTheDocument();
    expect(sent().map(({ method }) => method)).toEqual(["DELETE"]);
  });
});
