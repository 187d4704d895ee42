package mardun.core.making;

/**
 * A place in the workroom: a table, or a machine.
 *
 * @param key of the machine; where the maker hasn't listed any of that kind, of the kind
 * @param name of the machine; empty where it isn't listed
 */
public record Workplace(String key, Station station, String name) {

    /** Where the maker has said nothing of machines of this kind. */
    public static Workplace of(Station station) {
        return new Workplace(station.name(), station, "");
    }

    static Workplace of(Machine machine) {
        return new Workplace(machine.key(), machine.kind(), machine.name());
    }

    /** What it is called, as it stands behind “at”: its name, or its kind. */
    public String words() {
        return name.isEmpty() ? "the " + station.words() : name;
    }
}
