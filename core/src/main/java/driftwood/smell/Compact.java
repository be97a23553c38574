package driftwood.smell;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.JsonFormat;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.introspect.Annotated;
import com.fasterxml.jackson.databind.introspect.JacksonAnnotationIntrospector;
import com.fasterxml.jackson.dataformat.smile.SmileFactory;
import com.fasterxml.jackson.dataformat.smile.SmileGenerator;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;

/** The form in which records are remembered: Smile, their parts in order and without names. */
final class Compact {
    static final ObjectMapper MAPPER = mapper();

    private Compact() {
    }

    private static ObjectMapper mapper() {
        SmileFactory factory = SmileFactory.builder().enable(SmileGenerator.Feature.CHECK_SHARED_STRING_VALUES).build();
        ObjectMapper mapper = new ObjectMapper(factory).registerModule(new Jdk8Module());
        mapper.setVisibility(PropertyAccessor.GETTER, Visibility.NONE);
        mapper.setVisibility(PropertyAccessor.IS_GETTER, Visibility.NONE);
        mapper.setVisibility(PropertyAccessor.FIELD, Visibility.ANY);
        mapper.setAnnotationIntrospector(new RecordsAsArrays());
        mapper.addMixIn(Detail.class, Named.class);
        mapper.registerSubtypes(Detail.class.getPermittedSubclasses());
        return mapper;
    }

    /** A detail is one of a few known kinds, so its kind is written with it. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, include = JsonTypeInfo.As.WRAPPER_ARRAY)
    private interface Named {
    }

    private static final class RecordsAsArrays extends JacksonAnnotationIntrospector {
        private static final long serialVersionUID = 1L;

        @Override
        public JsonFormat.Value findFormat(Annotated annotated) {
            return annotated.getRawType().isRecord() ? JsonFormat.Value.forShape(JsonFormat.Shape.ARRAY)
                    : super.findFormat(annotated);
        }
    }
}
