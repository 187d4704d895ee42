package mardun.app.door;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.time.Duration;
import java.util.Optional;
import mardun.app.door.DoorViews.DoorView;
import mardun.app.door.DoorViews.OpenForm;
import mardun.app.door.DoorViews.PassphraseForm;
import mardun.app.paper.Paper;
import mardun.app.problem.RefusedException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
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

@RestController
@RequestMapping("/api/door")
@Tag(name = "door")
class DoorController {

    private static final Duration KEPT = Duration.ofDays(60);
    private static final int CODE = 46;

    private final DoorService door;
    private final DoorFilter filter;

    DoorController(DoorService door, DoorFilter filter) {
        this.door = door;
        this.filter = filter;
    }

    @GetMapping
    DoorView readDoor(HttpServletRequest request) {
        boolean here = DoorFilter.isHere(request);
        return door.view(here, here ? Optional.of(DoorRole.MAKER) : filter.role(request));
    }

    /** Sets another passphrase for those who come in as something, at the machine itself. */
    @PutMapping("/keys/{role}")
    DoorView changePassphrase(
            HttpServletRequest request, @PathVariable DoorRole role, @RequestBody @Valid PassphraseForm form) {
        refuseElsewhere(request);
        door.lockWith(role, form.passphrase());
        return asHere();
    }

    /** Takes the passphrase of a role away, at the machine itself. */
    @DeleteMapping("/keys/{role}")
    DoorView removePassphrase(HttpServletRequest request, @PathVariable DoorRole role) {
        refuseElsewhere(request);
        door.takeKeyAway(role);
        return asHere();
    }

    private DoorView asHere() {
        return door.view(true, Optional.of(DoorRole.MAKER));
    }

    /** Opens the door or closes it, at the machine itself. */
    @PutMapping
    DoorView changeDoor(HttpServletRequest request, @RequestBody @Valid OpenForm form) {
        refuseElsewhere(request);
        door.open(form.open());
        return asHere();
    }

    private static void refuseElsewhere(HttpServletRequest request) {
        if (!DoorFilter.isHere(request)) {
            throw RefusedException.conflict("The door is opened, closed and locked at the machine itself.");
        }
    }

    /** Lets a device in that says the passphrase. */
    @PostMapping("/enter")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    ResponseEntity<Void> enter(HttpServletRequest request, @RequestBody @Valid PassphraseForm form) {
        String token = door.enter(
                form.passphrase(),
                request.getRemoteAddr(),
                Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("a device"));
        return ResponseEntity.noContent()
                .header(
                        HttpHeaders.SET_COOKIE,
                        ResponseCookie.from(DoorFilter.COOKIE, token)
                                .httpOnly(true)
                                .sameSite("Strict")
                                .path("/")
                                .maxAge(KEPT)
                                .build()
                                .toString())
                .build();
    }

    /** The first address as a code that a device reads. */
    @GetMapping(path = "/code.svg", produces = "image/svg+xml")
    String drawCode() {
        return asHere().addresses().stream()
                .findFirst()
                .map(address -> Paper.qr(address, CODE))
                .orElseThrow(() -> RefusedException.missing("The door is closed."));
    }
}
