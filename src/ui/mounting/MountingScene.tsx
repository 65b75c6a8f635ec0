'use client';

import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import type { PinsAt } from '@/core/calibration';
import type { Airframe } from '@/core/setup';
import { eulerMatrix, multiply, type Matrix3 } from '@/core/space';
import { shapeOf } from '../drawing/shape';
import { Part, TO_SCREEN, loft, matrix4, plate, useColours } from '../drawing/solid';

/** The eye is behind and above; the model stands turned a little, so that all three axes show. */
const EYE = eulerMatrix(0, 0, 24);

/** Where the pins stick out, in the unit's own axes. */
const PINS: Record<PinsAt, readonly [number, number]> = {
  'arrow-end': [1, 0],
  'far-end': [-1, 0],
  left: [0, -1],
  right: [0, 1],
};

interface SceneProps {
  airframe: Airframe;
  /** From the unit's axes to the model's; between two of the 24 while it is being turned. */
  rotation: Matrix3;
  pinsAt: PinsAt;
}

/** The unit, large, over the model it sits in. Decorative: the lists beside it say the same in words. */
export default function MountingScene(props: SceneProps) {
  const radius = shapeOf(props.airframe).radiusMm;
  return (
    <Canvas
      frameloop="demand"
      flat
      dpr={[1, 2]}
      camera={{
        fov: 34,
        near: radius * 0.05,
        far: radius * 10,
        position: [0, radius * 1.5, radius * 2.5],
      }}
      aria-hidden
    >
      <Seat {...props} />
    </Canvas>
  );
}

function Seat({ airframe, rotation, pinsAt }: SceneProps) {
  const invalidate = useThree((s) => s.invalidate);
  const colours = useColours();
  const shape = useMemo(() => shapeOf(airframe), [airframe]);
  const body = useMemo(() => loft(shape.body), [shape]);
  const plates = useMemo(
    () => [...shape.fixed, ...shape.moving.map((m) => m.quad)].map(plate),
    [shape],
  );
  useEffect(() => invalidate());
  const size = shape.radiusMm * 0.25;
  const [px, py] = PINS[pinsAt];
  const lift = shape.radiusMm * 0.55;
  return (
    <>
      <ambientLight intensity={1.6} />
      <directionalLight position={[1, 3, 2]} intensity={1.8} />
      <group matrixAutoUpdate={false} matrix={matrix4(multiply(TO_SCREEN, EYE))}>
        <group position={[0, 0, shape.radiusMm * 0.25]}>
          <Part geometry={body} colour={colours.shade} edge={colours.line} />
          {plates.map((geometry, i) => (
            <Part key={i} geometry={geometry} colour={colours.shade} edge={colours.line} />
          ))}
        </group>
        <group
          matrixAutoUpdate={false}
          matrix={matrix4(rotation).setPosition(0, 0, shape.radiusMm * 0.25 - lift)}
        >
          <mesh>
            <boxGeometry args={[size * 2, size * 1.3, size * 0.55]} />
            <meshLambertMaterial color={colours.ink} />
          </mesh>
          {/* The label, with the arrow on it. */}
          <mesh position={[0, 0, -size * 0.28]}>
            <boxGeometry args={[size * 1.8, size * 1.1, size * 0.02]} />
            <meshBasicMaterial color={colours.card} />
          </mesh>
          <mesh position={[-size * 0.15, 0, -size * 0.31]}>
            <boxGeometry args={[size * 0.9, size * 0.2, size * 0.04]} />
            <meshBasicMaterial color={colours.accent} />
          </mesh>
          <mesh position={[size * 0.55, 0, -size * 0.31]} rotation={[0, 0, -Math.PI / 2]}>
            <coneGeometry args={[size * 0.32, size * 0.6, 3]} />
            <meshBasicMaterial color={colours.accent} />
          </mesh>
          {[-0.4, -0.2, 0, 0.2, 0.4].map((t) => (
            <mesh
              key={t}
              position={[
                px * size * 1.15 + (px === 0 ? t * size * 1.6 : 0),
                py * size * 0.8 + (py === 0 ? t * size : 0),
                0,
              ]}
            >
              <boxGeometry
                args={
                  px === 0
                    ? [size * 0.06, size * 0.3, size * 0.06]
                    : [size * 0.3, size * 0.06, size * 0.06]
                }
              />
              <meshBasicMaterial color={colours.focus} />
            </mesh>
          ))}
        </group>
      </group>
    </>
  );
}
