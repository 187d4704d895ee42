package mardun.app.files;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.files.ListSheet.Column;
import mardun.app.problem.RefusedException;
import mardun.app.problem.TypedText;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A CSV file as spreadsheets write it: with a comma, a semicolon, a tab or a bar between the cells, in UTF-8, UTF-16 or
 * the old western encoding, with or without a byte order mark, with quoted line breaks. An apostrophe that keeps a cell
 * from being run as a formula is taken off again.
 *
 * @param separator what stands between the cells
 * @param encoding in which the file was read
 * @param unknown columns that the list doesn't have; they are left out
 * @param lines without the head and without empty ones
 */
record SheetFile(char separator, Charset encoding, List<String> unknown, List<SheetLine> lines) {

    static final int MOST_LINES = 50_000;

    private static final char[] SEPARATORS = {',', ';', '\t', '|'};
    private static final char BYTE_ORDER_MARK = '\uFEFF';
    private static final Charset WESTERN = Charset.forName("windows-1252");

    /**
     * Reads a file for a list with these columns.
     *
     * @throws RefusedException with what is wrong with the file as a whole
     */
    static SheetFile read(byte[] bytes, List<Column> columns) {
        Charset encoding = encoding(bytes);
        String text = text(bytes, encoding);
        if (text.isBlank()) {
            throw RefusedException.conflict("The file is empty. Its first line has to name the columns.");
        }
        char separator = separator(text, columns);
        List<CSVRecord> records = records(withoutHint(text), separator);
        if (records.isEmpty()) {
            throw RefusedException.conflict("The file has no line. Its first line has to name the columns.");
        }
        List<String> head = head(records.get(0));
        Map<String, String> known =
                columns.stream().collect(Collectors.toMap(column -> key(column.name()), Column::name));
        refuseHead(head, known, columns);
        List<SheetLine> lines = new ArrayList<>();
        for (CSVRecord record : records.subList(1, records.size())) {
            Map<String, String> cells = new LinkedHashMap<>();
            for (int i = 0; i < head.size(); i++) {
                String name = known.get(head.get(i));
                if (name != null) {
                    cells.put(name, i < record.size() ? plain(record.get(i)) : "");
                }
            }
            if (cells.values().stream().anyMatch(cell -> !cell.isBlank())) {
                lines.add(new SheetLine(record.getRecordNumber(), cells));
            }
        }
        return new SheetFile(
                separator,
                encoding,
                head.stream()
                        .filter(name -> !name.isEmpty() && !known.containsKey(name))
                        .toList(),
                lines);
    }

    private static void refuseHead(List<String> head, Map<String, String> known, List<Column> columns) {
        List<String> missing = columns.stream()
                .filter(Column::required)
                .map(Column::name)
                .filter(name -> !head.contains(key(name)))
                .toList();
        if (!missing.isEmpty()) {
            throw RefusedException.conflict("The first line has to name the columns, and "
                    + missing.stream().map(name -> "“" + name + "”").collect(Collectors.joining(", "))
                    + (missing.size() == 1 ? " isn't" : " aren't") + " among them. It reads: "
                    + shortened(String.join(" · ", head)) + ".");
        }
        Set<String> seen = new HashSet<>();
        for (String name : head) {
            if (known.containsKey(name) && !seen.add(name)) {
                throw RefusedException.conflict(
                        "The column “" + known.get(name) + "” stands there twice. Take one of them out.");
            }
        }
    }

    private static String shortened(String text) {
        return text.length() <= 160 ? text : text.substring(0, 160) + "…";
    }

    private static List<String> head(CSVRecord record) {
        List<String> head = new ArrayList<>();
        record.forEach(cell -> head.add(key(cell)));
        return head;
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    /** Takes off the apostrophe that was put before a cell which a spreadsheet would run. */
    private static String plain(String cell) {
        boolean guarded = cell.length() > 1 && cell.charAt(0) == '\'' && "=+-@\t\r".indexOf(cell.charAt(1)) >= 0;
        return TypedText.clean(guarded ? cell.substring(1) : cell).strip();
    }

    private static Charset encoding(byte[] bytes) {
        if (startsWith(bytes, 0xFF, 0xFE)) {
            return StandardCharsets.UTF_16LE;
        }
        if (startsWith(bytes, 0xFE, 0xFF)) {
            return StandardCharsets.UTF_16BE;
        }
        try {
            StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException notUtf8) {
            return WESTERN;
        }
    }

    private static boolean startsWith(byte[] bytes, int first, int second) {
        return bytes.length >= 2 && (bytes[0] & 0xFF) == first && (bytes[1] & 0xFF) == second;
    }

    private static String text(byte[] bytes, Charset encoding) {
        String text = new String(bytes, encoding);
        String unmarked = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
        if (unmarked.indexOf('\0') >= 0) {
            throw RefusedException.conflict(
                    "This isn't a CSV file. Save the table as CSV in your spreadsheet, then bring that file.");
        }
        return unmarked;
    }

    /** The separator with which the first line names most of the list's columns. */
    private static char separator(String text, List<Column> columns) {
        Set<String> known = columns.stream().map(column -> key(column.name())).collect(Collectors.toSet());
        Map<Character, Long> found = new HashMap<>();
        for (char candidate : SEPARATORS) {
            List<CSVRecord> first = firstRecord(withoutHint(text), candidate);
            found.put(
                    candidate,
                    first.isEmpty()
                            ? 0L
                            : head(first.get(0)).stream()
                                    .filter(known::contains)
                                    .count());
        }
        char best = SEPARATORS[0];
        for (char candidate : SEPARATORS) {
            best = found.get(candidate) > found.get(best) ? candidate : best;
        }
        return best;
    }

    /** Some spreadsheets tell the separator in a line of its own before the head. */
    private static String withoutHint(String text) {
        if (!text.regionMatches(true, 0, "sep=", 0, 4)) {
            return text;
        }
        int end = text.indexOf('\n');
        return end < 0 ? "" : text.substring(end + 1);
    }

    private static List<CSVRecord> firstRecord(String text, char separator) {
        try (CSVParser parser = format(separator).parse(new StringReader(text))) {
            var records = parser.iterator();
            return records.hasNext() ? List.of(records.next()) : List.of();
        } catch (IOException | UncheckedIOException | IllegalStateException unreadable) {
            return List.of();
        }
    }

    private static List<CSVRecord> records(String text, char separator) {
        try (CSVParser parser = format(separator).parse(new StringReader(text))) {
            List<CSVRecord> records = new ArrayList<>();
            for (CSVRecord record : parser) {
                if (records.size() > MOST_LINES) {
                    throw RefusedException.conflict("The file has more than " + MOST_LINES
                            + " lines, the most that are taken at once. Split it.");
                }
                records.add(record);
            }
            return records;
        } catch (IOException | UncheckedIOException | IllegalStateException unreadable) {
            throw RefusedException.conflict(
                    "The file can't be read to its end: a quotation mark is opened and not closed, or something stands"
                            + " behind a closing one. Save it as CSV once more, then bring it again.");
        }
    }

    private static CSVFormat format(char separator) {
        return CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .get();
    }
}
