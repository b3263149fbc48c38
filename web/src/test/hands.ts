import { fireEvent, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useNotes } from "../shared/ui/notify";

/** What tests do with a page as somebody would who does not hesitate. */
export const user = userEvent.setup({ delay: null });

export const button = (name: string | RegExp) => screen.getByRole("button", { name });

export const field = (name: string | RegExp) => screen.getByLabelText(name);

/** Types over a field. */
export const enter = (name: string | RegExp, value: string) =>
  fireEvent.change(field(name), { target: { value } });

/** Types over a field and hands it in by Enter. */
export const handIn = (name: string, value: string) => {
  enter(name, value);
  return user.type(field(name), "{Enter}");
};

/** What stands at the foot of the window to be read. */
export const note = () => useNotes.getState().note?.text;
