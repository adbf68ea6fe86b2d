package app.leeward.server.api;

import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import java.util.List;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.converter.yaml.MappingJackson2YamlHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** In which forms the API takes what it is sent: JSON without doubles, nested within reason, and files in forms. */
@Configuration
class WebForms implements WebMvcConfigurer {
    private static final int DEEPEST = 100;

    private final IncomingText text;
    private final AdmittedRequests admitted;

    WebForms(IncomingText text, AdmittedRequests admitted) {
        this.text = text;
        this.admitted = admitted;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(admitted);
        registry.addInterceptor(text).addPathPatterns("/api/**");
    }

    /** A library on the path brings YAML along, which nobody here reads. */
    @Override
    public void extendMessageConverters(List<HttpMessageConverter<?>> converters) {
        converters.removeIf(c -> c instanceof MappingJackson2YamlHttpMessageConverter);
    }

    @Bean
    @Order(Ordered.LOWEST_PRECEDENCE)
    Jackson2ObjectMapperBuilderCustomizer strictBodies() {
        return builder -> builder.postConfigurer(mapper -> {
            mapper.registerModule(IncomingText.module());
            mapper.getFactory()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION.mappedFeature())
                    .setStreamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .build());
        });
    }
}
