import java.util.*;
public class V { 
  static void run(float[] table,float[] in,float[] out,int n){ for(int i=0;i<n;i++){ float at=in[i]*4096; int k=(int)at; float low=table[k]; out[i]=low+(table[k+1]-low)*(at-k);} }
  static void small(float[] table,float[] in,float[] out,int n){ for(int i=0;i<n;i++){ float at=in[i]*512; int k=(int)at; float low=table[k]; out[i]=low+(table[k+1]-low)*(at-k);} }
  static void conv(float[] in,float[] out,int n){ for(int i=0;i<n;i++){ float at=in[i]*4096; int k=(int)at; out[i]=at-k;} }
  static void gather(float[] table,int[] in,float[] out,int n){ for(int i=0;i<n;i++){ out[i]=table[in[i]];} }
  static void poly(float[] in,float[] out,int n){ for(int i=0;i<n;i++){ float v=in[i]; out[i]=((((v*.1f+.2f)*v+.3f)*v+.4f)*v+.5f)*v+.6f;} }
  public static void main(String[] a){ float[] t=new float[4098], in=new float[2048], out=new float[2048]; int[] k=new int[2048]; Random r=new Random(2); for(int i=0;i<2048;i++){ in[i]=r.nextFloat(); k[i]=r.nextInt(4096);} 
   for(int rep=0;rep<4;rep++){ int N=10000; double ns=1.0/(N*2048.0); long s=System.nanoTime(); for(int q=0;q<N;q++) run(t,in,out,2048); double A=(System.nanoTime()-s)*ns; s=System.nanoTime(); for(int q=0;q<N;q++) small(t,in,out,2048); double B=(System.nanoTime()-s)*ns; s=System.nanoTime(); for(int q=0;q<N;q++) conv(in,out,2048); double C=(System.nanoTime()-s)*ns; s=System.nanoTime(); for(int q=0;q<N;q++) gather(t,k,out,2048); double D=(System.nanoTime()-s)*ns; s=System.nanoTime(); for(int q=0;q<N;q++) poly(in,out,2048); double E=(System.nanoTime()-s)*ns;
   System.out.printf("run %.2f small %.2f conv %.2f gather %.2f poly %.2f%n",A,B,C,D,E);} } }
