package mardun.app.web;

import mardun.app.request.RequestJson;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.json.JacksonJsonHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Requests and answers are read and written as {@link RequestJson} does. */
@Configuration
class JsonRequests implements WebMvcConfigurer {

    private final RequestJson json;

    JsonRequests(RequestJson json) {
        this.json = json;
    }

    @Override
    public void configureMessageConverters(HttpMessageConverters.ServerBuilder converters) {
        converters.withJsonConverter(new JacksonJsonHttpMessageConverter(json.mapper()));
    }
}
