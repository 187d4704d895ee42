package mardun.app.door;

import java.nio.charset.StandardCharsets;
import mardun.app.problem.FieldReader;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** A passphrase is kept as its bcrypt hash and never as itself. */
final class Passphrase {

    private static final int SHORTEST = 10;

    /** What is longer bcrypt wouldn't look at. */
    private static final int MOST_BYTES = 72;

    private static final int STRENGTH = 11;
    private static final BCryptPasswordEncoder ENCODER = new BCryptPasswordEncoder(STRENGTH);

    private Passphrase() {}

    /** The hash of a passphrase as it was typed, where it may be one. */
    static String hash(String typed, FieldReader fields) {
        int bytes = typed.getBytes(StandardCharsets.UTF_8).length;
        if (typed.codePoints().count() < SHORTEST) {
            fields.refuse(
                    "passphrase",
                    "",
                    "This is short enough to be guessed. Use at least " + SHORTEST
                            + " characters: some words in a row.");
        } else if (bytes > MOST_BYTES) {
            fields.refuse(
                    "passphrase", "", "This is longer than can be checked. Use at most " + MOST_BYTES + " letters.");
        }
        fields.check();
        return ENCODER.encode(typed);
    }

    static boolean matches(String typed, String hash) {
        return typed.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES && ENCODER.matches(typed, hash);
    }
}
