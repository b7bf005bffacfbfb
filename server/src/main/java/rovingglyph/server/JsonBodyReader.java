package rovingglyph.server;

import java.io.IOException;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpOutputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.AbstractHttpMessageConverter;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.stereotype.Component;

/** Gives controllers a {@link JsonBody} where they ask for one. */
@Component
class JsonBodyReader extends AbstractHttpMessageConverter<JsonBody> {
  JsonBodyReader() {
    super(MediaType.APPLICATION_JSON);
  }

  @Override
  protected boolean supports(Class<?> type) {
    return type == JsonBody.class;
  }

  @Override
  public boolean canWrite(Class<?> type, MediaType media) {
    return false;
  }

  @Override
  protected JsonBody readInternal(Class<? extends JsonBody> type, HttpInputMessage in)
      throws IOException {
    return JsonBody.of(in.getBody().readAllBytes());
  }

  @Override
  protected void writeInternal(JsonBody body, HttpOutputMessage out) {
    throw new HttpMessageNotWritableException("Bodies are only read");
  }
}
