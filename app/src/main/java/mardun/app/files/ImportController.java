package mardun.app.files;

import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import mardun.app.files.ImportViews.BrokenOffView;
import mardun.app.files.ImportViews.ImportView;
import mardun.app.files.ImportViews.ListView;
import mardun.app.problem.RefusedException;
import mardun.app.show.CsvSheet;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "files")
class ImportController {

    private final ImportService imports;

    ImportController(ImportService imports) {
        this.imports = imports;
    }

    @GetMapping("/lists")
    List<ListView> listLists() {
        return imports.lists();
    }

    @GetMapping(path = "/lists/{key}.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> downloadList(@PathVariable String key) {
        return CsvSheet.download(key + ".csv", imports.csv(key));
    }

    /** Takes a file in, as it is; what it would do can be asked for by its id. */
    @PostMapping(path = "/imports", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.ACCEPTED)
    ImportView createImport(@RequestParam String list, InputStream file) throws IOException {
        byte[] bytes = file.readNBytes(ImportService.MOST_BYTES + 1);
        if (bytes.length > ImportService.MOST_BYTES) {
            throw RefusedException.conflict("The file is larger than 20 MB. Split it.");
        }
        return imports.open(list, bytes);
    }

    @GetMapping("/imports/broken-off")
    List<BrokenOffView> listBrokenOff() {
        return imports.brokenOff();
    }

    @DeleteMapping("/imports/broken-off/{mark}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forgetBrokenOff(@PathVariable String mark) {
        imports.forget(mark);
    }

    @GetMapping("/imports/{id}")
    ImportView readImport(@PathVariable String id) {
        return imports.get(id);
    }

    @PostMapping("/imports/{id}/enter")
    @ResponseStatus(HttpStatus.ACCEPTED)
    ImportView enterImport(@PathVariable String id) {
        return imports.enter(id);
    }

    @DeleteMapping("/imports/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void giveUpImport(@PathVariable String id) {
        imports.giveUp(id);
    }
}
