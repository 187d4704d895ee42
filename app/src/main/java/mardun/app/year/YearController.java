package mardun.app.year;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.Locale;
import mardun.app.paper.Paper;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.app.year.YearViews.Book;
import mardun.app.year.YearViews.BooksView;
import mardun.app.year.YearViews.FigureTable;
import mardun.app.year.YearViews.Question;
import mardun.app.year.YearViews.RemarkAwayForm;
import mardun.app.year.YearViews.RemarksView;
import mardun.app.year.YearViews.YearView;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/year")
@Tag(name = "year")
class YearController {

    private static final String TWELVE = "12";

    private final YearService years;
    private final Remarks remarks;
    private final Books books;
    private final SettingsService settings;

    YearController(YearService years, Remarks remarks, Books books, SettingsService settings) {
        this.years = years;
        this.remarks = remarks;
        this.books = books;
        this.settings = settings;
    }

    /** What the twelve months from the month of a day on say; the last twelve where no day is given. */
    @GetMapping
    YearView readYear(@RequestParam(required = false) @Nullable LocalDate from) {
        return years.year(from);
    }

    @GetMapping(path = "/{question}.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> exportAnswer(
            @PathVariable Question question, @RequestParam(required = false) @Nullable LocalDate from) {
        return CsvSheet.download(fileName(question) + ".csv", years.csv(question, from));
    }

    /** The one thing that deserves to be said now, if there is any. */
    @GetMapping("/remarks")
    RemarksView readRemarks() {
        return remarks.now();
    }

    /** A remark isn't said again for a quarter of a year. */
    @PostMapping("/remarks/away")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putRemarkAway(@Valid @RequestBody RemarkAwayForm form) {
        remarks.putAway(form.key());
    }

    /** The books of the twelve months from the month of a day on. */
    @GetMapping("/books")
    BooksView readBooks(@RequestParam LocalDate from) {
        return books.books(from);
    }

    @GetMapping(path = "/books.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> exportBooks(@RequestParam LocalDate from) {
        return CsvSheet.download("books.csv", years.sheet(books.books(from).table()));
    }

    @GetMapping(path = "/books/stock.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> exportBooksStock(@RequestParam LocalDate from) {
        return CsvSheet.download("stock.csv", years.sheet(books.books(from).stock()));
    }

    @GetMapping(path = "/books.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printBooks(@RequestParam LocalDate from) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"books.pdf\"")
                .body(BooksPaper.pdf(
                        books.books(from), Paper.Size.of(settings.current().unitSystem())));
    }

    /** The entries that the books of some months rest on. */
    @GetMapping("/books/{book}")
    FigureTable readBook(
            @PathVariable Book book,
            @RequestParam LocalDate from,
            @RequestParam(defaultValue = TWELVE) @Min(1) @Max(YearSpan.MONTHS) int months) {
        return books.entries(book, from, months);
    }

    @GetMapping(path = "/books/{book}.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> exportBook(
            @PathVariable Book book,
            @RequestParam LocalDate from,
            @RequestParam(defaultValue = TWELVE) @Min(1) @Max(YearSpan.MONTHS) int months) {
        return CsvSheet.download(fileName(book) + ".csv", years.sheet(books.entries(book, from, months)));
    }

    private static String fileName(Enum<?> of) {
        return of.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
