'use client';

import { useEffect, useMemo } from 'react';
import { BufferGeometry, DoubleSide, Float32BufferAttribute, Matrix4 } from 'three';
import type { Matrix3 } from '@/core/space';
import type { Quad, Section } from './shape';

/** Body axes (x forward, y right, z down) to the screen's (right, up, towards the viewer). */
export const TO_SCREEN: Matrix3 = [0, 1, 0, 0, 0, -1, -1, 0, 0];

export function matrix4(m: Matrix3): Matrix4 {
  return new Matrix4().set(
    m[0],
    m[1],
    m[2],
    0,
    m[3],
    m[4],
    m[5],
    0,
    m[6],
    m[7],
    m[8],
    0,
    0,
    0,
    0,
    1,
  );
}

export function Part({
  geometry,
  colour,
  edge,
}: {
  geometry: BufferGeometry;
  colour: string;
  edge: string;
}) {
  return (
    <>
      <mesh geometry={geometry}>
        <meshLambertMaterial
          color={colour}
          side={DoubleSide}
          flatShading
          polygonOffset
          polygonOffsetFactor={1}
          polygonOffsetUnits={1}
        />
      </mesh>
      <lineSegments>
        <edgesGeometry args={[geometry, 20]} />
        <lineBasicMaterial color={edge} />
      </lineSegments>
    </>
  );
}

export function Moving({ quad, colour, edge }: { quad: Quad; colour: string; edge: string }) {
  const geometry = useMemo(() => plate(quad), [quad]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return <Part geometry={geometry} colour={colour} edge={edge} />;
}

export function plate(quad: Quad): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute(
    'position',
    new Float32BufferAttribute(
      quad.flatMap((p) => [...p]),
      3,
    ),
  );
  geometry.setIndex([0, 1, 2, 0, 2, 3]);
  geometry.computeVertexNormals();
  return geometry;
}

const RING = 10;

/** A skin through the sections of the body. */
export function loft(sections: readonly Section[]): BufferGeometry {
  const points = sections.flatMap((s) =>
    Array.from({ length: RING }, (_, i) => {
      const angle = (2 * Math.PI * i) / RING;
      const z = Math.sin(angle);
      return [s.x, Math.cos(angle) * s.half, z < 0 ? -z * s.top : z * s.bottom];
    }).flat(),
  );
  const index: number[] = [];
  for (let s = 0; s + 1 < sections.length; s++)
    for (let i = 0; i < RING; i++) {
      const a = s * RING + i;
      const b = s * RING + ((i + 1) % RING);
      index.push(a, b, a + RING, b, b + RING, a + RING);
    }
  for (let i = 1; i + 1 < RING; i++) {
    const end = (sections.length - 1) * RING;
    index.push(0, i, i + 1, end, end + i + 1, end + i);
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(points, 3));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return geometry;
}

/** The theme's colours, as the renderer needs them. */
export function useColours() {
  const style = getComputedStyle(document.documentElement);
  const colour = (name: string) => style.getPropertyValue(name).trim();
  return {
    ink: colour('--ink'),
    accent: colour('--accent'),
    shade: colour('--shade'),
    card: colour('--card'),
    line: colour('--card-edge'),
    focus: colour('--focus'),
    sky: colour('--sky'),
    ground: colour('--ground'),
  };
}
