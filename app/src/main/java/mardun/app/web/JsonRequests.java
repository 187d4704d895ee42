package mardun.app.web;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.LocalDate;
import java.time.Year;
import mardun.app.problem.Days;
import mardun.app.problem.TypedText;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.json.JacksonJsonHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.ext.javatime.deser.LocalDateDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** How requests are read: no holes in lists, texts that can be stored, days that can be reckoned with. */
@Configuration
class JsonRequests implements WebMvcConfigurer {

    private final JsonMapper stored;

    JsonRequests(JsonMapper stored) {
        this.stored = stored;
    }

    @Override
    public void configureMessageConverters(HttpMessageConverters.ServerBuilder converters) {
        JsonMapper requests = stored.rebuild()
                .addModule(new SimpleModule("requests")
                        .addDeserializer(String.class, new CleanText())
                        .addDeserializer(LocalDate.class, new PossibleDay()))
                .changeDefaultNullHandling(before -> JsonSetter.Value.forContentNulls(Nulls.FAIL))
                .build();
        converters.withJsonConverter(new JacksonJsonHttpMessageConverter(requests));
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

    private static final class PossibleDay extends StdScalarDeserializer<LocalDate> {

        PossibleDay() {
            super(LocalDate.class);
        }

        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
            LocalDate day = LocalDateDeserializer.INSTANCE.deserialize(parser, context);
            if (day != null && !Days.isPossible(day)) {
                throw InvalidFormatException.from(
                        parser, Year.from(day) + " is no year to reckon with", day, LocalDate.class);
            }
            return day;
        }
    }
}
