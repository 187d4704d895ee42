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
    private final DoorKeyRepository keys;
    private final DoorPassRepository passes;
    private final OpenAddresses addresses;
    private final Attempts attempts;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    DoorService(
            DoorRepository doors,
            DoorKeyRepository keys,
            DoorPassRepository passes,
            OpenAddresses addresses,
            Clock clock) {
        this.doors = doors;
        this.keys = keys;
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

    /**
     * The door as a device sees it.
     *
     * @param role as what it came in; empty while it is outside
     */
    @Transactional(readOnly = true)
    public DoorView view(boolean here, Optional<DoorRole> role) {
        Door door = door();
        return new DoorView(
                here,
                role.isPresent(),
                role.orElse(null),
                door.isOpen(),
                here ? keys.findAll().stream().map(DoorKey::role).sorted().toList() : List.of(),
                here ? addresses.urls() : List.of(),
                here
                        ? passes.findAll().stream()
                                .sorted(Comparator.comparing(DoorPass::seenAt).reversed())
                                .map(pass -> new DeviceView(
                                        pass.device(), pass.role(), day(pass.cameAt()), day(pass.seenAt())))
                                .toList()
                        : List.of());
    }

    private static LocalDate day(Instant at) {
        return at.atZone(ZoneId.systemDefault()).toLocalDate();
    }

    /** Sets another passphrase for a role; whoever came in with the one before is out. */
    @Transactional
    public void lockWith(DoorRole role, String typed) {
        FieldReader fields = new FieldReader();
        String hash = Passphrase.hash(typed, fields);
        keys.findAll().stream()
                .filter(key -> key.role() != role && key.opensTo(typed))
                .findFirst()
                .ifPresent(key -> fields.refuse(
                        "passphrase",
                        "",
                        "This one lets devices in as " + key.role().words() + " already. Take another."));
        fields.check();
        keys.save(new DoorKey(role, hash));
        passes.deleteByRole(role);
    }

    /** Takes a role's passphrase away: nobody comes in as that any more. With the last one the door is closed. */
    @Transactional
    public void takeKeyAway(DoorRole role) {
        keys.deleteById(role);
        passes.deleteByRole(role);
        keys.flush();
        if (keys.count() == 0) {
            open(false);
        }
    }

    /** Opens the door to the workroom's network, or closes it; whoever came in before it was closed is out. */
    @Transactional
    public void open(boolean open) {
        Door door = door();
        if (open && keys.count() == 0) {
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
        Optional<DoorRole> role = keys.findAll().stream()
                .filter(key -> key.opensTo(typed))
                .map(DoorKey::role)
                .findFirst();
        if (role.isEmpty()) {
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
        passes.save(new DoorPass(
                hash(token), role.orElseThrow(), device.substring(0, Math.min(LONGEST_NAME, device.length())), now));
        return token;
    }

    /** As what somebody with this is inside; empty if nobody with it may be. */
    @Transactional
    public Optional<DoorRole> role(String token) {
        Instant now = clock.instant();
        Optional<DoorPass> pass =
                passes.findById(hash(token)).filter(one -> one.seenAt().isAfter(now.minus(LASTS)));
        pass.filter(one -> one.seenAt().isBefore(now.minus(SEEN))).ifPresent(one -> one.seen(now));
        return pass.map(DoorPass::role);
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
