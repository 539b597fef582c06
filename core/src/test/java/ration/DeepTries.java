package ration;

import net.jqwik.api.lifecycle.AroundPropertyHook;
import net.jqwik.api.lifecycle.PropagationMode;
import net.jqwik.api.lifecycle.PropertyExecutionResult;
import net.jqwik.api.lifecycle.PropertyExecutor;
import net.jqwik.api.lifecycle.PropertyLifecycleContext;

/** In the long build every property is tried so many times as often, from seeds of its own. */
public final class DeepTries implements AroundPropertyHook {

    private static final int TIMES = 20;

    @Override
    public PropagationMode propagateTo() {
        return PropagationMode.ALL_DESCENDANTS;
    }

    @Override
    public PropertyExecutionResult aroundProperty(PropertyLifecycleContext context, PropertyExecutor property) {
        if (Samples.DEEP) {
            context.attributes().setTries(TIMES * context.attributes().tries().orElse(1000));
        }
        return property.execute();
    }
}
