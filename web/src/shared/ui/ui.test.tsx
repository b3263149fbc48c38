import { act, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { shown } from "../../test/shown";
import { Stage } from "../stage/Stage";
import { useCommands } from "../stage/commands";
import { WordDialog } from "../words/WordDialog";
import { explain } from "../words/wordStore";
import { Choice } from "./Choice";
import { TextField } from "./Field";
import { NoteBar } from "./NoteBar";
import { notify } from "./notify";
import { Picker } from "./Picker";
import { user } from "../../test/hands";

describe("a field", () => {
  it("hands its text in by Enter, tells why it is refused, and takes it back by Esc", async () => {
    const onHandIn = vi.fn((text: string) => (text === "bad" ? "That cannot be." : undefined));
    shown(<TextField label="Name" value="old" onHandIn={onHandIn} />);
    const field = screen.getByLabelText("Name");
    await user.clear(field);
    await user.type(field, "bad{Enter}");
    expect(await screen.findByRole("alert")).toHaveTextContent("That cannot be.");
    await user.type(field, "{Escape}");
    expect(field).toHaveValue("old");
    expect(screen.queryByRole("alert")).toBeNull();
  });
});

describe("a choice", () => {
  it("says which word holds and is told of another", async () => {
    const onChange = vi.fn();
    const choices = [
      { value: "a", label: "First" },
      { value: "b", label: "Second" },
    ] as const;
    shown(<Choice label="Kind" choices={choices} value="a" onChange={onChange} />);
    expect(screen.getByRole("button", { name: "First", pressed: true })).toBeInTheDocument();
    await user.click(screen.getByRole("button", { name: "Second" }));
    expect(onChange).toHaveBeenCalledWith("b");
  });
});

describe("a picker", () => {
  const items = [
    { id: "1", label: "Access road", code: "S10", note: "activity" },
    { id: "2", label: "Power line", code: "S60", note: "activity" },
  ];

  it("is gone along by arrows; Enter chooses", async () => {
    const [onChoose, onText] = [vi.fn(), vi.fn()];
    shown(<Picker label="Look" placeholder="…" items={items} onText={onText} onChoose={onChoose} />);
    await user.type(screen.getByRole("combobox", { name: "Look" }), "o{ArrowDown}{Enter}");
    expect(onText).toHaveBeenCalledWith("o");
    expect(onChoose).toHaveBeenCalledWith(expect.objectContaining({ label: expect.any(String) as string }));
  });

  it("says where nothing fits", () => {
    shown(
      <Picker label="Look" placeholder="…" items={[]} foot="Nothing." onText={vi.fn()} onChoose={vi.fn()} />,
    );
    expect(screen.getByRole("status")).toHaveTextContent("Nothing.");
  });
});

describe("a note", () => {
  it("offers ways on, by their keys, too", async () => {
    const run = vi.fn();
    shown(<NoteBar />);
    act(() => notify("Done.", { label: "Again", key: "a", run }));
    expect(screen.getByRole("status")).toHaveTextContent("Done.");
    await user.keyboard("{Alt>}a{/Alt}");
    expect(run).toHaveBeenCalled();
    expect(screen.queryByRole("status")).toBeNull();
  });
});

describe("a stage", () => {
  it("offers what can be done in it, and its other views, for as long as it is shown", () => {
    const [run, onChange] = [vi.fn(), vi.fn()];
    const views = {
      label: "View",
      choices: [
        { value: "a", label: "Chart" },
        { value: "b", label: "Table" },
      ],
      value: "a",
      onChange,
    };
    const { unmount } = shown(
      <Stage name="Odds" sentence="All is well." views={views} commands={[{ id: "x", label: "Do it", run }]}>
        content
      </Stage>,
    );
    const offered = useCommands.getState().offered.Odds ?? [];
    expect(offered.map((one) => one.label)).toEqual(["Do it", "View: Table"]);
    offered.forEach((one) => one.run?.());
    expect(run).toHaveBeenCalled();
    expect(onChange).toHaveBeenCalledWith("b");
    unmount();
    expect(useCommands.getState().offered.Odds).toBeUndefined();
  });
});

describe("a word", () => {
  it("is explained, and leads to those that belong to it", async () => {
    shown(<WordDialog />);
    act(() => explain("total float"));
    expect(await screen.findByRole("dialog")).toHaveTextContent("may slip without moving the finish");
    await user.click(screen.getByRole("button", { name: "Longest path" }));
    expect(screen.getByRole("dialog")).toHaveTextContent("decides the finish");
  });
});
