package mardun.app.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import mardun.app.problem.RefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PhotoReaderTest {

    /** Red at the left, blue at the right; 40 wide and 20 high. */
    private static BufferedImage twoColours() {
        BufferedImage picture = new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawn = picture.createGraphics();
        drawn.setColor(Color.RED);
        drawn.fillRect(0, 0, 20, 20);
        drawn.setColor(Color.BLUE);
        drawn.fillRect(20, 0, 20, 20);
        drawn.dispose();
        return picture;
    }

    private static byte[] written(BufferedImage picture, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, format, out);
        return out.toByteArray();
    }

    private static BufferedImage kept(PhotoReader.Photo photo) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(photo.bytes()));
    }

    /** A JPEG whose camera says how it was held, and where it was. */
    private static byte[] held(int orientation) throws IOException {
        byte[] jpeg = written(twoColours(), "jpg");
        ByteArrayOutputStream exif = new ByteArrayOutputStream();
        DataOutputStream data = new DataOutputStream(exif);
        data.write("Exif\0\0MM\0*".getBytes(StandardCharsets.ISO_8859_1));
        data.writeInt(8);
        data.writeShort(1);
        data.writeShort(0x0112);
        data.writeShort(3);
        data.writeInt(1);
        data.writeShort(orientation);
        data.writeShort(0);
        data.writeInt(0);
        data.write("Harbour Street 7".getBytes(StandardCharsets.ISO_8859_1));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.write(0xFF);
        out.write(0xE1);
        out.write((exif.size() + 2) >> 8);
        out.write(exif.size() + 2);
        out.write(exif.toByteArray());
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({
        "1, 40, 20, RIGHT",
        "2, 40, 20, LEFT",
        "3, 40, 20, LEFT",
        "4, 40, 20, RIGHT",
        "5, 20, 40, BOTTOM",
        "6, 20, 40, BOTTOM",
        "7, 20, 40, TOP",
        "8, 20, 40, TOP",
    })
    void isTurnedUpright(int orientation, int wide, int high, String blueAt) throws IOException {
        BufferedImage photo = kept(PhotoReader.read(held(orientation)));
        assertThat(photo.getWidth()).isEqualTo(wide);
        assertThat(photo.getHeight()).isEqualTo(high);
        int x = blueAt.equals("LEFT") ? 3 : blueAt.equals("RIGHT") ? wide - 4 : wide / 2;
        int y = blueAt.equals("TOP") ? 3 : blueAt.equals("BOTTOM") ? high - 4 : high / 2;
        Color there = new Color(photo.getRGB(x, y));
        assertThat(there.getBlue()).isGreaterThan(200);
        assertThat(there.getRed()).isLessThan(60);
    }

    @Test
    void nothingButThePictureIsKept() throws IOException {
        byte[] photo = held(1);
        byte[] hidden = Arrays.copyOf(photo, photo.length + 40);
        byte[] second = "PK\u0003\u0004 a second file".getBytes(StandardCharsets.ISO_8859_1);
        System.arraycopy(second, 0, hidden, photo.length, second.length);
        String kept = new String(PhotoReader.read(hidden).bytes(), StandardCharsets.ISO_8859_1);
        assertThat(kept).doesNotContain("Harbour Street").doesNotContain("a second file");
    }

    @Test
    void aLargePhotoIsKeptAsLargeAsAScreenNeeds() throws IOException {
        BufferedImage large = new BufferedImage(5000, 1000, BufferedImage.TYPE_INT_RGB);
        PhotoReader.Photo photo = PhotoReader.read(written(large, "jpg"));
        assertThat(photo.ending()).isEqualTo("jpg");
        assertThat(kept(photo).getWidth()).isEqualTo(2400);
        assertThat(kept(photo).getHeight()).isEqualTo(480);
    }

    @Test
    void glassStaysGlass() throws IOException {
        PhotoReader.Photo photo =
                PhotoReader.read(written(new BufferedImage(9, 9, BufferedImage.TYPE_INT_ARGB), "png"));
        assertThat(photo.ending()).isEqualTo("png");
        assertThat(new Color(kept(photo).getRGB(4, 4), true).getAlpha()).isZero();
    }

    @Test
    void readsWebP() {
        byte[] webp = Base64.getDecoder().decode("UklGRiIAAABXRUJQVlA4IBYAAAAwAQCdASoBAAEADsD+JaQAA3AAAAAA");
        assertThat(PhotoReader.read(webp).ending()).isEqualTo("jpg");
    }

    /** Of a picture that says it has 900 million pixels nothing is unpacked. */
    @Test
    void moreThanAPhotoHasIsRefusedUnread() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        DataOutputStream data = new DataOutputStream(out);
        data.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        ByteArrayOutputStream header = new ByteArrayOutputStream();
        DataOutputStream fields = new DataOutputStream(header);
        fields.write("IHDR".getBytes(StandardCharsets.ISO_8859_1));
        fields.writeInt(30_000);
        fields.writeInt(30_000);
        fields.write(new byte[] {8, 2, 0, 0, 0});
        CRC32 sum = new CRC32();
        sum.update(header.toByteArray());
        data.writeInt(13);
        data.write(header.toByteArray());
        data.writeInt((int) sum.getValue());
        data.write(new byte[4]);
        data.write("IDAT".getBytes(StandardCharsets.ISO_8859_1));
        assertThatThrownBy(() -> PhotoReader.read(out.toByteArray()))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("30000 × 30000 pixels");
    }

    @Test
    void whatIsDamagedIsRefused() throws IOException {
        byte[] png = written(twoColours(), "png");
        assertThatThrownBy(() -> PhotoReader.read(Arrays.copyOf(png, png.length / 2)))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("damaged");
        assertThatThrownBy(() -> PhotoReader.read("no photo at all".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("Choose a JPEG, PNG or WebP");
    }
}
