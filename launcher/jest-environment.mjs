// Jest's Node environment on a plain global object. A sandbox whose global is intercepted makes every look-up of `Math` or
// `Float64Array` a call out of the engine: the solver's kernels, which live on them, run five times slower there.
import vm from 'node:vm';
import { TestEnvironment } from 'jest-environment-node';

export default class PlainGlobalEnvironment extends TestEnvironment {
  constructor(config, context) {
    const { createContext } = vm;
    vm.createContext = () => createContext(vm.constants.DONT_CONTEXTIFY);
    try {
      super(config, context);
    } finally {
      vm.createContext = createContext;
    }
  }
}
