/**
 * The Brief page: engine and demand, envelope, fuel, basis.
 */
package ration.desktop.brief;
