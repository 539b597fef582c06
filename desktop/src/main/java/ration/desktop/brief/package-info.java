/**
 * The Brief page: engine and demand, envelope, fuel, basis. What it says, and what can be entered, stands apart from
 * its nodes: {@link ration.desktop.brief.BriefWords}.
 */
package ration.desktop.brief;
