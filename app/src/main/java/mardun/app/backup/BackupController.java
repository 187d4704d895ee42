package mardun.app.backup;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.LocalDate;
import mardun.app.backup.BackupViews.BackupPlaceForm;
import mardun.app.backup.BackupViews.BackupsView;
import mardun.app.backup.BackupViews.RestoreAccepted;
import mardun.app.backup.BackupViews.RestoreView;
import mardun.app.door.AtTheMachine;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Backups, at the machine itself. */
@RestController
@RequestMapping("/api/backups")
@Tag(name = "backups")
class BackupController {

    private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    private final BackupService backups;
    private final Clock clock;

    BackupController(BackupService backups, Clock clock) {
        this.backups = backups;
        this.clock = clock;
    }

    @GetMapping
    BackupsView readBackups(HttpServletRequest request) {
        AtTheMachine.check(request);
        return backups.view();
    }

    /** Makes a backup now. */
    @PostMapping
    BackupsView makeBackup(HttpServletRequest request) {
        AtTheMachine.check(request);
        backups.make();
        return backups.view();
    }

    /** All that is stored now, as one archive. */
    @GetMapping(path = "/archive.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> downloadArchive(HttpServletRequest request) {
        AtTheMachine.check(request);
        return ResponseEntity.ok()
                .contentType(ZIP)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"mardun-" + LocalDate.now(clock) + ".zip\"")
                .body(backups::write);
    }

    @GetMapping(path = "/kept/{name}", produces = "application/zip")
    ResponseEntity<Resource> downloadBackup(HttpServletRequest request, @PathVariable String name) {
        AtTheMachine.check(request);
        Resource file = new FileSystemResource(backups.file(name));
        return ResponseEntity.ok()
                .contentType(ZIP)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(file);
    }

    /** Where backups are copied to from now on. */
    @PutMapping("/place")
    BackupsView changeBackupPlace(HttpServletRequest request, @RequestBody @Valid BackupPlaceForm form) {
        AtTheMachine.check(request);
        backups.place(form);
        return backups.view();
    }

    /** Opens an archive: says what would be otherwise with it, and changes nothing. */
    @PostMapping(path = "/restore", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    RestoreView openArchive(HttpServletRequest request, InputStream archive) throws IOException {
        AtTheMachine.check(request);
        return backups.open(archive);
    }

    @PostMapping("/kept/{name}/restore")
    RestoreView openBackup(HttpServletRequest request, @PathVariable String name) {
        AtTheMachine.check(request);
        return backups.openKept(name);
    }

    /** What was opened takes the place of what is there; Mardun starts anew. */
    @PostMapping("/restore/accept")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void acceptRestore(HttpServletRequest request, @RequestBody @Valid RestoreAccepted form) {
        AtTheMachine.check(request);
        backups.accept(form.id());
    }

    @DeleteMapping("/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void giveRestoreUp(HttpServletRequest request) {
        AtTheMachine.check(request);
        backups.giveUp();
    }
}
