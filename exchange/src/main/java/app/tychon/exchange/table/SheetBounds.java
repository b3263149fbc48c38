package app.tychon.exchange.table;

import java.io.InputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Looks through a sheet of a workbook before anything else reads it: cells that name rows or columns no spreadsheet has,
 * and numbers that no computer holds, would take all memory.
 */
final class SheetBounds {
    /** What the format itself allows. */
    private static final int LAST_COLUMN = 16_384;

    private static final int LAST_ROW = 1_048_576;
    private static final int LONGEST_NUMBER = 400;
    private static final int LARGEST_EXPONENT = 400;

    private SheetBounds() {}

    /** @throws UnreadableTableException naming the cell that cannot be */
    static void check(InputStream sheet) throws UnreadableTableException {
        XMLInputFactory factory = XMLInputFactory.newInstance();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(sheet);
            String cell = "";
            boolean isValue = false;
            StringBuilder value = new StringBuilder();
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.START_ELEMENT) {
                    String name = xml.getLocalName();
                    String reference = xml.getAttributeValue(null, "r");
                    if (name.equals("row") && reference != null) {
                        row(reference, reference);
                    } else if (name.equals("c") && reference != null) {
                        cell = reference;
                        cell(reference);
                    }
                    isValue = name.equals("v");
                    value.setLength(0);
                } else if (event == XMLStreamConstants.CHARACTERS && isValue) {
                    if (value.length() <= LONGEST_NUMBER) {
                        value.append(xml.getText());
                    }
                } else if (event == XMLStreamConstants.END_ELEMENT && isValue) {
                    number(cell, value);
                    isValue = false;
                }
            }
        } catch (XMLStreamException | RuntimeException e) {
            // Damage that shows while the packed bytes are read is told by an exception that is not declared.
            throw new UnreadableTableException("A sheet of the workbook is damaged. Save it again as .xlsx.");
        }
    }

    private static void cell(String reference) throws UnreadableTableException {
        int column = 0;
        int at = 0;
        while (at < reference.length() && Character.isLetter(reference.charAt(at)) && column <= LAST_COLUMN) {
            column = column * 26 + Character.toUpperCase(reference.charAt(at)) - 'A' + 1;
            at++;
        }
        if (column < 1 || column > LAST_COLUMN) {
            throw impossible(reference);
        }
        row(reference, reference.substring(at));
    }

    private static void row(String cell, String number) throws UnreadableTableException {
        if (!number.matches("\\d{1,7}") || Integer.parseInt(number) < 1 || Integer.parseInt(number) > LAST_ROW) {
            throw impossible(cell);
        }
    }

    private static UnreadableTableException impossible(String cell) {
        String shown = cell.length() > 20 ? cell.substring(0, 20) + "…" : cell;
        return new UnreadableTableException("A sheet of the workbook has a cell \"" + shown
                + "\", which no spreadsheet has room for. Save it again as .xlsx.");
    }

    /** Only an exponent makes a short text a large number. */
    private static void number(String cell, CharSequence value) throws UnreadableTableException {
        String text = value.toString();
        int mark = Math.max(text.indexOf('e'), text.indexOf('E'));
        if (mark <= 0 || !text.substring(0, mark).matches("\\s*[+-]?[\\d.]+")) {
            return;
        }
        String exponent = text.substring(mark + 1).strip();
        boolean isExponent = exponent.matches("[+-]?\\d+");
        if (isExponent && (exponent.length() > 5 || Math.abs(Integer.parseInt(exponent)) > LARGEST_EXPONENT)) {
            throw new UnreadableTableException(
                    "Cell " + cell + " of the workbook holds a number that is none: " + text.substring(0, mark) + "e…");
        }
    }
}
