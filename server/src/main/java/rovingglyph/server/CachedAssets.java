package rovingglyph.server;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;

/**
 * How long browsers keep the interface: files with a hash in their name for good, for another
 * content has another name; the page that names them is asked for anew every time.
 */
@Configuration
class CachedAssets implements WebMvcConfigurer {
  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable())
        // As the build compressed them, where the browser takes that.
        .resourceChain(true)
        .addResolver(new EncodedResourceResolver());
    registry
        .addResourceHandler("/", "/index.html")
        .addResourceLocations("classpath:/static/")
        .setCacheControl(CacheControl.noCache());
  }
}
