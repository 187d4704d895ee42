package mardun.app.quote;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class OrderedLineTest {

    private static final OrderedLines STORED = new OrderedLines();

    @Test
    void whatWasStoredAsOneTextIsReadByItsParts() {
        List<OrderedLine> read = STORED.convertToEntityAttribute(
                "[\"12 × Heron pouch, small in Reed Stripe: no zip pull: please\", \"1 × Tote\", \"as we said\"]");

        assertThat(read)
                .containsExactly(
                        new OrderedLine(12, "Heron pouch, small in Reed Stripe", "no zip pull: please"),
                        new OrderedLine(1, "Tote", ""),
                        new OrderedLine(0, "as we said", ""));
        assertThat(read)
                .map(OrderedLine::words)
                .containsExactly(
                        "12 × Heron pouch, small in Reed Stripe: no zip pull: please", "1 × Tote", "as we said");
    }

    @Test
    void whatIsStoredNowIsReadAsItWas() {
        List<OrderedLine> lines = List.of(new OrderedLine(6, "Pouch {ç} \uD83E\uDDF5", "“Ida”: inside"));

        assertThat(STORED.convertToEntityAttribute(STORED.convertToDatabaseColumn(lines)))
                .isEqualTo(lines);
        assertThat(lines.get(0).forgotten().words()).isEqualTo("6 × Pouch {ç} \uD83E\uDDF5");
    }
}
