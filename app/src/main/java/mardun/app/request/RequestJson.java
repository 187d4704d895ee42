package mardun.app.request;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Year;
import java.time.format.DateTimeFormatter;
import mardun.app.problem.Days;
import mardun.app.problem.TypedText;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.ext.javatime.deser.LocalDateDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * How JSON is read that comes from outside: no holes in lists, texts that can be stored, days that can be reckoned with. And how moments
 * are written: on the maker's own clock, so that their first ten characters are the maker's day.
 */
@Component
public class RequestJson {

    private final JsonMapper mapper;

    RequestJson(JsonMapper stored, Clock clock) {
        mapper = stored.rebuild()
                .addModule(new SimpleModule("requests")
                        .addDeserializer(String.class, new CleanText())
                        .addDeserializer(LocalDate.class, new PossibleDay())
                        .addSerializer(Instant.class, new OnTheMakersClock(clock)))
                .changeDefaultNullHandling(before -> JsonSetter.Value.forContentNulls(Nulls.FAIL))
                .build();
    }

    public JsonMapper mapper() {
        return mapper;
    }

    private static final class CleanText extends StdScalarDeserializer<String> {

        CleanText() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString();
            if (text == null) {
                return (String) context.handleUnexpectedToken(String.class, parser);
            }
            return TypedText.clean(text);
        }
    }

    private static final class OnTheMakersClock extends StdSerializer<Instant> {

        private final Clock clock;

        OnTheMakersClock(Clock clock) {
            super(Instant.class);
            this.clock = clock;
        }

        @Override
        public void serialize(Instant moment, JsonGenerator generator, SerializationContext context) {
            generator.writeString(DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(
                    moment.atZone(clock.getZone()).toOffsetDateTime()));
        }
    }

    private static final class PossibleDay extends StdScalarDeserializer<LocalDate> {

        PossibleDay() {
            super(LocalDate.class);
        }

        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
            LocalDate day = LocalDateDeserializer.INSTANCE.deserialize(parser, context);
            if (day != null && !Days.isPossible(day)) {
                throw InvalidFormatException.from(
                        parser, Year.from(day) + " is no year that can be used", day, LocalDate.class);
            }
            return day;
        }
    }
}
