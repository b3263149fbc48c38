import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { shown } from "../test/shown";
import { choose } from "../shared/api/clash";
import { ClashDialog } from "./ClashDialog";
import { fieldWord, valueWord } from "./clashWords";

const clash = {
  section: "activities",
  key: "S40",
  field: "duration",
  was: "40d",
  theirs: "45d",
  mine: "50d",
  by: "Edda Wirth",
  at: "2026-11-26T12:00:00Z",
};

describe("two who change one field", () => {
  it("are shown beside each other, and whoever comes second chooses", async () => {
    const chosen = choose([clash]);
    shown(<ClashDialog />);
    expect(screen.getByTestId("theirs").textContent).toBe("45d");
    expect(screen.getByTestId("mine").textContent).toBe("50d");
    expect(document.body.textContent).toContain("Edda Wirth changed the same");
    fireEvent.click(screen.getByText("Take mine"));
    expect(await chosen).toBe(true);
  });

  it("are told in words and not in those of the file", () => {
    expect(fieldWord({ field: "" })).toBe("as a whole");
    expect(fieldWord({ field: "lagCalendar" })).toBe("lag calendar");
    expect(valueWord(undefined)).toBe("nothing");
    expect(valueWord({ shape: "pert", low: 50 })).toBe("shape pert, low 50");
    expect(valueWord([{ on: ["C20"] }])).toBe("on C20");
  });
});
