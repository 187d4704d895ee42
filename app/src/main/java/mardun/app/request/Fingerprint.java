package mardun.app.request;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Tells whether two things that were sent are the same, without keeping them. */
public final class Fingerprint {

    private static final int BYTES = 16;

    private static final byte[] NOTHING = {};

    private Fingerprint() {}

    /** The same for words alone. */
    public static String of(String words) {
        return of(words, NOTHING);
    }

    /** 32 characters; of other words or other bytes there are others. */
    public static String of(String words, byte[] bytes) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update(words.getBytes(StandardCharsets.UTF_8));
            digest.update(bytes);
            return HexFormat.of().formatHex(digest.digest(), 0, BYTES);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("every Java has SHA-256", missing);
        }
    }
}
