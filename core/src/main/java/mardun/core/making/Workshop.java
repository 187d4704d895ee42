package mardun.core.making;

/**
 * In what an order of work is found.
 *
 * @param times for changing machines and walking
 * @param equipment what the maker has
 * @param standing what is on her machines now
 */
public record Workshop(ChangeTimes times, Equipment equipment, Standing standing) {

    /** The same for work that begins some other day: who knows what will be on the machines then. */
    public Workshop later() {
        return new Workshop(times, equipment, Standing.UNKNOWN);
    }

    /** With the usual times, all that is asked for, and nothing known of what is on any machine. */
    public static final Workshop USUAL = new Workshop(ChangeTimes.USUAL, Equipment.ANYTHING, Standing.UNKNOWN);
}
