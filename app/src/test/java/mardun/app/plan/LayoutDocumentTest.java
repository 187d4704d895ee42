package mardun.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.PieceKey;
import mardun.core.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** A layout goes out and comes in to the nanometre. */
class LayoutDocumentTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Test
    void aLayoutIsThereAgainAsItWas() {
        Random random = new Random(6);
        for (int i = 0; i < 50; i++) {
            List<ClothLayout> cloths = new ArrayList<>();
            for (int cloth = 0; cloth < 1 + random.nextInt(3); cloth++) {
                List<Placed> pieces = new ArrayList<>();
                for (int piece = 0; piece < random.nextInt(30); piece++) {
                    pieces.add(new Placed(
                            new PieceKey(1 + piece % 3, "P" + piece),
                            length(random),
                            length(random),
                            length(random),
                            length(random),
                            random.nextBoolean()));
                }
                cloths.add(new ClothLayout(cloth == 0 ? "" : "17", cloth != 1, length(random), length(random), pieces));
            }
            CuttingLayout layout = new CuttingLayout(cloths);
            String file = JSON.writeValueAsString(LayoutDocument.of(layout));
            assertThat(JSON.readValue(file, LayoutDocument.class).layout()).isEqualTo(layout);
        }
    }

    private static Length length(Random random) {
        return new Length(Math.abs(random.nextLong() % 5_000_000_000_000L));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "[]",
                "{\"format\": \"mardun-layout-1\", \"cloths\": 4}",
                "{\"format\": \"mardun-layout-1\", \"cloths\": [{\"lot\": \"\", \"width\": \"wide\"}]}",
                "{\"format\": \"mardun-layout-1\", \"cloths\": [{\"lot\": \"\", \"width\": 99999999999999999999}]}"
            })
    void whatIsNoLayoutIsNotRead(String file) {
        assertThatThrownBy(() -> JSON.readValue(file, LayoutDocument.class)).isInstanceOf(JacksonException.class);
    }
}
