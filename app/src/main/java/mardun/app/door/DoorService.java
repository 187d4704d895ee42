package mardun.app.door;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Base64;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import mardun.app.door.DoorViews.DeviceView;
import mardun.app.door.DoorViews.DoorView;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The door to the workroom's network: closed unless the maker opens it, and locked with a passphrase. */
@Service
class DoorService {

    /** A device that wasn't seen for so long has to say the passphrase again. */
    private static final Duration LASTS = Duration.ofDays(60);

    /** A device is noted as seen once in so long. */
    private static final Duration SEEN = Duration.ofHours(1);

    private static final int TOKEN_BYTES = 32;
    private static final int LONGEST_NAME = 200;

    private final DoorRepository doors;
    private final DoorPassRepository passes;
    private final OpenAddresses addresses;
    private final Attempts attempts;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    DoorService(DoorRepository doors, DoorPassRepository passes, OpenAddresses addresses, Clock clock) {
        this.doors = doors;
        this.passes = passes;
        this.addresses = addresses;
        this.attempts = new Attempts(clock);
        this.clock = clock;
    }

    /** What was open when it was last stopped is open again. */
    @EventListener(ApplicationReadyEvent.class)
    @Transactional(readOnly = true)
    public void started() {
        if (door().isOpen()) {
            addresses.open();
        }
    }

    private Door door() {
        return doors.findById(Door.ONLY).orElseThrow();
    }

    @Transactional(readOnly = true)
    public DoorView view(boolean here, boolean inside) {
        Door door = door();
        return new DoorView(
                here,
                inside,
                door.isOpen(),
                door.passphraseHash().isPresent(),
                here ? addresses.urls() : List.of(),
                here
                        ? passes.findAll().stream()
                                .sorted(Comparator.comparing(DoorPass::seenAt).reversed())
                                .map(pass -> new DeviceView(pass.device(), day(pass.cameAt()), day(pass.seenAt())))
                                .toList()
                        : List.of());
    }

    private static LocalDate day(Instant at) {
        return at.atZone(ZoneId.systemDefault()).toLocalDate();
    }

    /** Sets another passphrase; whoever came in with the one before is out. */
    @Transactional
    public void lockWith(String typed) {
        FieldReader fields = new FieldReader();
        String hash = Passphrase.hash(typed, fields);
        door().lockWith(hash);
        passes.deleteAllInBatch();
    }

    /** Opens the door to the workroom's network, or closes it; whoever came in before it was closed is out. */
    @Transactional
    public void open(boolean open) {
        Door door = door();
        if (open && door.passphraseHash().isEmpty()) {
            throw RefusedException.conflict("Set a passphrase first: without one anybody in the house could come in.");
        }
        door.open(open);
        if (open) {
            addresses.open();
        } else {
            addresses.close();
            passes.deleteAllInBatch();
        }
    }

    /**
     * Lets a device in.
     *
     * @param from the address that it comes from
     * @param device what it says that it is
     * @return what it carries from now on
     */
    @Transactional
    public String enter(String typed, String from, String device) {
        Duration wait = attempts.wait(from);
        if (!wait.isZero()) {
            throw new TooManyAttemptsException(wait);
        }
        Optional<String> hash = door().passphraseHash();
        if (hash.isEmpty() || !Passphrase.matches(typed, hash.get())) {
            attempts.failed(from);
            FieldReader fields = new FieldReader();
            fields.refuse("passphrase", "", "This isn't the passphrase. It stands with whoever opened the door.");
            fields.check();
        }
        attempts.succeeded(from);
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        Instant now = clock.instant();
        passes.deleteBySeenAtLessThan(now.minus(LASTS));
        passes.save(new DoorPass(hash(token), device.substring(0, Math.min(LONGEST_NAME, device.length())), now));
        return token;
    }

    /** Whether somebody with this may be inside. */
    @Transactional
    public boolean isInside(String token) {
        Instant now = clock.instant();
        Optional<DoorPass> pass =
                passes.findById(hash(token)).filter(one -> one.seenAt().isAfter(now.minus(LASTS)));
        pass.filter(one -> one.seenAt().isBefore(now.minus(SEEN))).ifPresent(one -> one.seen(now));
        return pass.isPresent();
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
