package rovingglyph.server;

import com.fasterxml.jackson.core.JsonProcessingException;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.RequestBody;
import java.util.Arrays;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;

/** Tells the interface's description what a {@link JsonBody} holds, by {@link Holds}. */
@Component
class BodyDescriptions implements OperationCustomizer {
  @Override
  public Operation customize(Operation operation, HandlerMethod method) {
    Arrays.stream(method.getMethodParameters())
        .filter(p -> p.getParameterType() == JsonBody.class)
        .findFirst()
        .ifPresent(p -> operation.setRequestBody(describe(p)));
    return operation;
  }

  private static RequestBody describe(MethodParameter p) {
    Holds holds = p.getParameterAnnotation(Holds.class);
    Schema<?> schema =
        holds == null
            ? new Schema<>().type("object")
            : ModelConverters.getInstance()
                .resolveAsResolvedSchema(
                    new AnnotatedType(holds.value()).resolveAsRef(false).schemaProperty(true))
                .schema;
    if (holds != null && holds.many()) {
      schema = new io.swagger.v3.oas.models.media.ArraySchema().items(schema);
    }
    MediaType json = new MediaType().schema(schema);
    if (holds != null) {
      json.example(example(holds.example()));
    }
    return new RequestBody()
        .required(true)
        .content(new Content().addMediaType("application/json", json));
  }

  private static Object example(String json) {
    try {
      return Json.mapper().readTree(json);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(json, e);
    }
  }
}
