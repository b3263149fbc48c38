import { Menu, Portal } from "@chakra-ui/react";
import { Download } from "lucide-react";
import type { RefObject } from "react";
import { refusalOf } from "../api/edits";
import { keepFile, pngOf, svgOf } from "./picture";
import { takeTable, type TakenTable } from "./takeTable";
import { notify } from "../ui/notify";
import { ToolButton } from "../ui/ToolButton";

interface Props {
  /** What files are called, without their ending. */
  name: string;
  /** What stands over the picture. */
  title: string;
  /** What the picture is of. */
  chart: RefObject<HTMLElement | null>;
  /** The numbers behind it, as tables with their addresses. */
  tables?: readonly { label: string; href: string }[];
  /** What is seen, as a table that is made when it is asked for. */
  table?: () => TakenTable;
  /** What it says, in words fit for a letter. */
  letter?: string;
}

/** The chart as a picture, and the numbers behind it as tables. */
export function TakeOutMenu({ name, title, chart, tables = [], table, letter }: Props) {
  const picture = async () => (chart.current ? svgOf(chart.current, title) : "");
  const attempt = (action: () => Promise<void>, said?: string) => () =>
    void action().then(
      () => said && notify(said),
      (error: unknown) => notify(`It could not be taken out: ${refusalOf(error)}`),
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
            {table && (
              <>
                <Menu.Item value="csv" onSelect={attempt(() => takeTable("csv", name, table()))}>
                  Table of text (CSV)
                </Menu.Item>
                <Menu.Item value="xlsx" onSelect={attempt(() => takeTable("xlsx", name, table()))}>
                  Spreadsheet (XLSX)
                </Menu.Item>
              </>
            )}
            {letter && (
              <Menu.Item
                value="letter"
                onSelect={attempt(() => navigator.clipboard.writeText(letter), "The paragraph is copied.")}
              >
                Copy a paragraph for a letter
              </Menu.Item>
            )}
            {tables.map(({ label, href }) => (
              <Menu.Item key={href} value={href} asChild>
                <a href={href} download>
                  {label}
                </a>
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
