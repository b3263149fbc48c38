import { Box, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { BriefView } from "../../shared/api/client";
import { TextField } from "../../shared/ui/Field";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { AsidePart } from "./AsidePart";
import type { BriefWays } from "./useBriefWays";

const LOCALES = [
  { value: "en-GB", label: "3 May 2027, €1,250.50" },
  { value: "en-US", label: "May 3, 2027, €1,250.50" },
  { value: "de-DE", label: "3. Mai 2027, 1.250,50 €" },
  { value: "fr-FR", label: "3 mai 2027, 1 250,50 €" },
  { value: "es-ES", label: "3 de mayo de 2027, 1.250,50 €" },
  { value: "nl-NL", label: "3 mei 2027, € 1.250,50" },
];

/** How the page is set. */
export function PageSettings({ brief, ways }: { brief: BriefView; ways: BriefWays }) {
  return (
    <AsidePart title="The page">
      <Named label="Name">
        <TextField unseen label="Name" value={brief.name} onHandIn={(name) => ways.set({ name })} />
      </Named>
      <Named label="Title">
        <TextField
          unseen
          label="Title"
          lines={2}
          value={brief.title}
          onHandIn={(title) => ways.set({ title: title.split("\n").join(" ") })}
        />
      </Named>
      <Named label="At the foot of every page">
        <TextField
          unseen
          label="At the foot of every page"
          value={brief.confidential}
          hint="Such as: Confidential, for the board alone"
          onHandIn={(confidential) => ways.set({ confidential })}
        />
      </Named>
      <LabelledSelect
        label="Dates and money"
        width="100%"
        value={brief.locale}
        choices={
          LOCALES.some(({ value }) => value === brief.locale)
            ? LOCALES
            : [...LOCALES, { value: brief.locale, label: brief.locale }]
        }
        onPick={(locale) => void ways.set({ locale })}
      />
      <Flex gap="3">
        <LabelledSelect
          label="Days"
          value={brief.days}
          choices={[
            { value: "working", label: "working days" },
            { value: "calendar", label: "calendar days" },
          ]}
          onPick={(days) => void ways.set({ days })}
        />
        <LabelledSelect
          label="Paper"
          value={brief.paper}
          choices={[
            { value: "a4", label: "A4" },
            { value: "letter", label: "Letter" },
          ]}
          onPick={(paper) => void ways.set({ paper })}
        />
      </Flex>
    </AsidePart>
  );
}

function Named({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box>
      <Box color="softInk" aria-hidden>
        {label}
      </Box>
      {children}
    </Box>
  );
}
