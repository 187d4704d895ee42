package mardun.app;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** A small picture to be sent. */
final class TestPhoto {

    private TestPhoto() {}

    static byte[] png() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(8, 6, BufferedImage.TYPE_INT_RGB), "png", out);
        } catch (IOException unwritten) {
            throw new UncheckedIOException(unwritten);
        }
        return out.toByteArray();
    }
}
