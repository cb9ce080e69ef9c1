/** How one piece lies on the path. */
export interface Bend {
  /** Metres: the station of the piece's x = 0. */
  readonly station: number;
  /** Metres along the path per metre of segment. */
  readonly factor: number;
  /** Thickness factor across the path, times what the path's points say. */
  readonly gauge: number;
  /** Roll at station `rollFrom`, radians, and radians per metre from there on. */
  readonly roll: number;
  readonly rollFrom: number;
  readonly rollPerMetre: number;
}
