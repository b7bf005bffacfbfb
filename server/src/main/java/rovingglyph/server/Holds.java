package rovingglyph.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a {@link JsonBody} holds, for the description of the interface. */
@Target(ElementType.PARAMETER)
@Retention(RetentionPolicy.RUNTIME)
public @interface Holds {
  Class<?> value() default Object.class;

  /** One that can be sent as it is; {@link #SCENE} stands for the id of a scene. */
  String example();

  /** In the place of a scene's id in examples. */
  String SCENE = "4b1d2e3f-5a6b-4c7d-8e9f-0a1b2c3d4e5f";

  /** Whether it is a list of them. */
  boolean many() default false;
}
