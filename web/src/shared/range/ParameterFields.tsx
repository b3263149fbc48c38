import { Box } from "@chakra-ui/react";
import type { EstimateWords } from "../api/client";
import { ChoiceField, TextField } from "../ui/Field";
import { ENDS, endsOf, listText, shownParameter, withEnds, withList, withParameter } from "./draft";
import { type Parameter, PARAMETER_LABELS, SHAPE_INFO } from "./shapes";

interface Props {
  words: EstimateWords;
  onChange: (words: EstimateWords) => void;
}

/** The parameters of a shape, each typed by itself. */
export function ParameterFields({ words, onChange }: Props) {
  const info = SHAPE_INFO[words.shape];
  const threePoints = words.shape === "triangular" || words.shape === "pert";
  const hand = (next: EstimateWords | { refusal: string }) => {
    if ("refusal" in next) return next.refusal;
    onChange(next);
    return undefined;
  };
  const field = (parameter: Parameter) => (
    <TextField
      key={parameter}
      label={`${PARAMETER_LABELS[parameter]}${words.basis === "factor" ? ", %" : ""}`}
      name={parameter}
      value={shownParameter(words, parameter)}
      onHandIn={(text) => hand(withParameter(words, parameter, text))}
    />
  );
  return (
    <>
      {info?.parameters.map(field)}
      {info?.list && (
        <TextField
          label={words.shape === "sample" ? "Values" : "Values, chances"}
          hint={
            words.shape === "cumulative" ? "A value a line with the chance of it or less" : "A value a line"
          }
          value={listText(words)}
          lines={6}
          onHandIn={(text) => hand(withList(words, text))}
        />
      )}
      {threePoints && (
        <ChoiceField
          label="Low and high are"
          hint="The very ends, or the values that one in ten goes beyond"
          value={endsOf(words)}
          choices={ENDS}
          onHandIn={(ends) => hand(withEnds(words, ends))}
        />
      )}
      {words.shape !== "fixed" && (
        <Box as="details" mb="2">
          <Box as="summary" color="softInk" fontSize="12.5px" mb="1" cursor="pointer">
            Cut off{words.shape === "pert" ? ", weight" : ""}
          </Box>
          {words.shape === "pert" && field("weight")}
          {field("min")}
          {field("max")}
        </Box>
      )}
    </>
  );
}
