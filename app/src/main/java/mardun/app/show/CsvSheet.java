package mardun.app.show;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/**
 * A CSV sheet as RFC 4180 has it, with a byte order mark so that spreadsheets read it as UTF-8. A cell that a spreadsheet
 * would run as a formula gets an apostrophe in front; numbers stay numbers.
 */
public final class CsvSheet {

    public static final String MEDIA_TYPE = "text/csv";

    private static final char BYTE_ORDER_MARK = '\uFEFF';
    private static final Pattern FORMULA = Pattern.compile("[=+\\-@\\t\\r].*", Pattern.DOTALL);
    private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9]+([.,][0-9]+)?");

    private static final Pattern FIGURE = Pattern.compile("[+-]?[0-9]+\\.[0-9]+( [a-z]{1,3})?");

    private final StringBuilder text = new StringBuilder().append(BYTE_ORDER_MARK);
    private final CSVPrinter printer;
    private final DecimalMark mark;

    /** A sheet for a spreadsheet that writes decimals with this mark: its cells are parted so that it reads them. */
    public CsvSheet(DecimalMark mark, String... head) {
        this.mark = mark;
        try {
            printer = new CSVPrinter(
                    text,
                    CSVFormat.RFC4180.builder().setDelimiter(mark.separator()).get());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        line(head);
    }

    public void line(String... cells) {
        try {
            printer.printRecord(Arrays.stream(cells)
                    .map(this::marked)
                    .map(CsvSheet::harmless)
                    .toList());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A sheet as a file to be kept. */
    public static ResponseEntity<String> download(String fileName, String sheet) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(fileName)
                                .build()
                                .toString())
                .body(sheet);
    }

    public String text() {
        return text.toString();
    }

    /** A figure with the mark; words stay as they are. */
    private String marked(String cell) {
        return FIGURE.matcher(cell).matches() ? mark.in(cell) : cell;
    }

    private static String harmless(String cell) {
        boolean runs = FORMULA.matcher(cell).matches() && !NUMBER.matcher(cell).matches();
        return runs ? "'" + cell : cell;
    }
}
