package mardun.app.door;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The door to the workroom's network, as it is shown and set. */
public final class DoorViews {

    private DoorViews() {}

    /**
     * The door.
     *
     * @param here whoever asks sits at the machine itself, and needs no passphrase
     * @param inside whoever asks may come in
     * @param role as what; absent while outside
     * @param keys the roles that have a passphrase; told at the machine itself
     * @param addresses under which other devices find Mardun while it is open
     * @param devices that came in
     */
    public record DoorView(
            boolean here,
            boolean inside,
            @Nullable DoorRole role,
            boolean open,
            List<DoorRole> keys,
            List<String> addresses,
            List<DeviceView> devices) {}

    /** A device that came in. */
    public record DeviceView(String device, DoorRole role, LocalDate cameOn, LocalDate seenOn) {}

    /** A passphrase as it is typed. */
    public record PassphraseForm(@NotNull String passphrase) {}

    /** Whether the door is open. */
    public record OpenForm(boolean open) {}
}
