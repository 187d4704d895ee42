package mardun.app.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import mardun.app.files.ListSheet.Column;
import mardun.app.problem.RefusedException;
import mardun.app.show.CsvSheet;
import mardun.app.show.DecimalMark;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SheetFileTest {

    private static final List<Column> COLUMNS =
            List.of(new Column("name", true, ""), new Column("price", true, ""), new Column("place", false, ""));

    private static SheetFile read(String text) {
        return SheetFile.read(text.getBytes(StandardCharsets.UTF_8), COLUMNS);
    }

    @ParameterizedTest
    @CsvSource({"COMMA, ','", "SEMICOLON, ;", "BAR, |"})
    void theSeparatorIsTheOneThatNamesTheColumns(String word, String separator) {
        SheetFile file = read(String.join(separator, "price", "name") + "\n" + String.join(separator, "2", "Ring"));
        assertThat(file.separator()).isEqualTo(separator.charAt(0));
        assertThat(file.lines().get(0).get("name")).isEqualTo("Ring");
        assertThat(file.lines().get(0).get("price")).isEqualTo("2");
    }

    @Test
    void decimalCommasStandBetweenSemicolons() {
        SheetFile file = read("name;price;what else, who knows\nRing;2,50;a, b\n");
        assertThat(file.lines().get(0).get("price")).isEqualTo("2,50");
        assertThat(file.unknown()).containsExactly("what else, who knows");
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
    void umlautsAreReadInEveryUsualEncoding(String name) {
        Charset charset = Charset.forName(name);
        String mark = name.startsWith("UTF") ? "\uFEFF" : "";
        SheetFile file = SheetFile.read((mark + "name,price\nBändchen 25 €,1\n").getBytes(charset), COLUMNS);
        assertThat(file.encoding()).isEqualTo(charset);
        assertThat(file.lines().get(0).get("name")).isEqualTo("Bändchen 25 €");
    }

    @Test
    void aLineThatTellsTheSeparatorIsNoHead() {
        SheetFile file = read("sep=;\r\nname;price\r\nRing;1\r\n");
        assertThat(file.lines()).hasSize(1);
    }

    @Test
    void quotesHoldSeparatorsQuotesAndLineBreaks() {
        SheetFile file = read("name,price,place\n\"a \"\"fine\"\"\nring, welded\",1,box\n");
        assertThat(file.lines().get(0).get("name")).isEqualTo("a \"fine\"\nring, welded");
        assertThat(file.lines().get(0).get("place")).isEqualTo("box");
    }

    @Test
    void theHeadMayBeInAnyOrderAndCase() {
        SheetFile file = read(" PRICE ,Name\n1,Ring\n");
        assertThat(file.lines().get(0).get("name")).isEqualTo("Ring");
        assertThat(file.lines().get(0).has("place")).isFalse();
        assertThat(file.lines().get(0).get("place", "as before")).isEqualTo("as before");
    }

    @Test
    void emptyLinesAreLeftOutAndShortOnesFilledUp() {
        SheetFile file = read("name,price,place\n,,\nRing\n\n");
        assertThat(file.lines()).hasSize(1);
        assertThat(file.lines().get(0).number()).isEqualTo(3);
        assertThat(file.lines().get(0).get("place")).isEmpty();
        assertThat(file.lines().get(0).has("place")).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+cmd", "-2+3", "@sum(a1)", "\ttab", "-12,5", "'quoted", "plain"})
    void whatWasMadeHarmlessGoingOutComesInAsItWas(String cell) {
        CsvSheet out = new CsvSheet(DecimalMark.POINT, "name", "price");
        out.line(cell, "1");
        assertThat(read(out.text()).lines().get(0).get("name")).isEqualTo(cell.strip());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '~',
            value = {
                "''                         ~ The file is empty",
                "'name\nRing\n'             ~ “price” isn't among them. It reads: name.",
                "'name,price,name\na,1,b'   ~ The column “name” stands there twice",
                "'name,price\n\"open,1\n'   ~ a quotation mark is opened and not closed"
            })
    void aFileThatIsNoListIsRefusedAsAWhole(String text, String sentence) {
        assertThatThrownBy(() -> read(text))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void aSpreadsheetsOwnFileIsNoCsv() {
        byte[] zipped = {'P', 'K', 3, 4, 0, 0, 8, 0};
        assertThatThrownBy(() -> SheetFile.read(zipped, COLUMNS)).hasMessageContaining("This isn't a CSV file");
    }

    @Test
    void noMoreLinesThanCanBeLookedAt() {
        String tooLong = "name,price\n" + "a,1\n".repeat(SheetFile.MOST_LINES + 1);
        assertThatThrownBy(() -> read(tooLong))
                .hasMessageContaining("more than 50000 lines, the most that are taken at once");
    }
}
