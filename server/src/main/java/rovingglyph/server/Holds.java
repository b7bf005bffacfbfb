package rovingglyph.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a {@link JsonBody} holds, for the description of the interface. */
@Target(ElementType.PARAMETER)
@Retention(RetentionPolicy.RUNTIME)
public @interface Holds {
  Class<?> value();

  /** Whether it is a list of them. */
  boolean many() default false;
}
