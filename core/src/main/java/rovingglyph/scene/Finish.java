package rovingglyph.scene;

import java.util.List;
import java.util.Map;

/**
 * The effects of an item with their numbers and colours, for use on others.
 *
 * @param effects in the order in which they are done, each with an id of its own
 * @param values of all of them
 */
public record Finish(List<Effect> effects, Map<Channel, AnimatedValue> values) {}
