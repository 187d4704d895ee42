package mardun.app.web;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The description of the API, from which the interface's types are made. */
@Configuration
class ApiDescription {

    @Bean
    OpenAPI api() {
        return new OpenAPI()
                .info(new Info()
                        .title("Mardun")
                        .version("1")
                        .description("A workroom's designs, materials and batches, and all that follows from them."));
    }

    @Bean
    ModelConverter requiredUnlessNullable() {
        return new RequiredUnlessNullable();
    }

    /** A record's component is always there, unless it is marked as one that may be missing. */
    private static final class RequiredUnlessNullable implements ModelConverter {

        @Override
        public Schema<?> resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            if (!chain.hasNext()) {
                return null;
            }
            Schema<?> resolved = chain.next().resolve(type, context, chain);
            JavaType javaType = Json.mapper().constructType(type.getType());
            if (resolved == null || !javaType.getRawClass().isRecord()) {
                return resolved;
            }
            Schema<?> target = resolved;
            if (resolved.get$ref() != null) {
                String name = resolved.get$ref().substring(resolved.get$ref().lastIndexOf('/') + 1);
                target = context.getDefinedModels().get(name);
            }
            if (target != null && target.getProperties() != null) {
                target.setRequired(required(javaType.getRawClass()));
            }
            return resolved;
        }

        private static List<String> required(Class<?> record) {
            return Arrays.stream(record.getRecordComponents())
                    .filter(component -> !component.getAnnotatedType().isAnnotationPresent(Nullable.class))
                    .map(RecordComponent::getName)
                    .toList();
        }
    }
}
