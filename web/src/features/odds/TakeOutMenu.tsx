import { Menu, Portal } from "@chakra-ui/react";
import { Download } from "lucide-react";
import type { RefObject } from "react";
import { keepFile, pngOf, svgOf } from "../../shared/charts/picture";
import { notify } from "../../shared/ui/notify";
import { ToolButton } from "../../shared/ui/ToolButton";
import { isDate, PROJECT, type Subject } from "./subject";

interface Props {
  run: string;
  /** What the odds are of. */
  subject: Subject;
  /** What the picture is of. */
  chart: RefObject<HTMLElement | null>;
  /** What stands over the picture. */
  title: string;
}

/** The chart as a picture, and the numbers behind it as tables. */
export function TakeOutMenu({ run, subject, chart, title }: Props) {
  const { what, of } = subject;
  const name = of === PROJECT ? what : `${of} ${what}`;
  const query = new URLSearchParams({ what, of }).toString();
  const picture = async () => (chart.current ? svgOf(chart.current, title) : "");
  const attempt = (action: () => Promise<void>, said?: string) => () =>
    void action().then(
      () => said && notify(said),
      (error: unknown) => notify(`No picture could be made: ${String(error)}`),
    );
  const copy = async () =>
    navigator.clipboard.write([new ClipboardItem({ "image/png": picture().then(pngOf) })]);
  return (
    <Menu.Root positioning={{ placement: "bottom-end" }}>
      <Menu.Trigger asChild>
        <ToolButton label="Take out" hint="Take out as a picture or a table">
          <Download size={16} />
        </ToolButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" minW="56">
            <Menu.Item value="copy" onSelect={attempt(copy, "The picture is copied.")}>
              Copy the picture
            </Menu.Item>
            <Menu.Item
              value="svg"
              onSelect={attempt(async () =>
                keepFile(new Blob([await picture()], { type: "image/svg+xml" }), `${name}.svg`),
              )}
            >
              Picture (SVG)
            </Menu.Item>
            <Menu.Item
              value="png"
              onSelect={attempt(async () => keepFile(await pngOf(await picture()), `${name}.png`))}
            >
              Picture (PNG)
            </Menu.Item>
            <Menu.Separator borderColor="line" />
            <Menu.Item value="curve" asChild>
              <a href={`/api/runs/${run}/${isDate(what) ? "dates" : "amounts"}.csv?${query}`} download>
                The curve as a table (CSV)
              </a>
            </Menu.Item>
            <Menu.Item value="iterations" asChild>
              <a href={`/api/runs/${run}/iterations.csv?of=${encodeURIComponent(of)}`} download>
                All iterations (CSV)
              </a>
            </Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
