package mardun.core.material;

/** Which part of a notion is counted: halves of two-part ones are sold as sets and lie in compartments of their own. */
public enum Part {
    WHOLE("whole"),
    SOCKET("sockets"),
    STUD("studs");

    private final String words;

    Part(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
