package ration.physics.flow;

import java.util.List;
import ration.base.geometry.Point3;
import ration.solver.network.Element;

/**
 * A link of the network with the item it stands for.
 *
 * @param link id
 * @param item id of what it stands for
 * @param from node at its start, by place in the plan
 * @param to node at its end
 * @param element what it costs
 * @param between measured points along it, between its ends
 */
record Wire(String link, String item, int from, int to, Element element, List<Point3> between) {

    Wire {
        between = List.copyOf(between);
    }

    /** The node at its other end. */
    int other(int node) {
        return node == from ? to : from;
    }
}
