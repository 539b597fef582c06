/**
 * Points, attitudes and closed solids in aircraft axes.
 *
 * <p>Axes: station x aft positive, butt line y right positive, water line z up positive, all in metres. What "up" means
 * for the fuel is an {@link ration.base.geometry.ApparentGravity}: a pitch, a slip or an acceleration turns it, a load
 * factor makes it stronger. Heights are always {@code up . point}.
 *
 * <p>Volumes under a plane come from the divergence theorem over clipped faces, with the origin on the plane so that
 * the cap needs no building; see {@link ration.base.geometry.Solid}.
 */
package ration.base.geometry;
